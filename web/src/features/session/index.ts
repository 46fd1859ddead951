export { Account } from './parts/Account';
export { SignIn } from './parts/SignIn';
export { useSession, useSignOut } from './queries';
