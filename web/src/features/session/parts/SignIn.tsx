import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Trouble } from '../../../ui/States';
import { useSignIn } from '../queries';

export function SignIn({ demo }: { demo: boolean }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const signing = useSignIn();
  return (
    <main className="grid min-h-full place-items-center p-4">
      <form
        className="w-[340px] max-w-full rounded-lg border border-line bg-sheet p-6"
        onSubmit={(event) => {
          event.preventDefault();
          signing.mutate({ name, password });
        }}
      >
        <h1 className="font-wordmark text-[28px] leading-none font-semibold tracking-tight text-moss">
          Jubek
        </h1>
        <p className="mt-2 mb-4 text-ink2">Rules for recurring mail.</p>
        <div className="grid gap-3">
          <TextField
            label="Name"
            value={name}
            autoComplete="username"
            autoFocus
            onChange={(e) => setName(e.target.value)}
          />
          <TextField
            label="Password"
            type="password"
            value={password}
            autoComplete="current-password"
            onChange={(e) => setPassword(e.target.value)}
          />
          {signing.isError && <Trouble text={problemText(signing.error)} />}
          <Button look="go" type="submit" disabled={signing.isPending || name === '' || password === ''}>
            Sign in
          </Button>
        </div>
        {demo && (
          <p className="mt-4 text-sm text-ink2">
            This is the demo of Ostrel Gardens: sign in as <b>ilse</b> with <b>greenhouse</b>.
          </p>
        )}
      </form>
    </main>
  );
}
