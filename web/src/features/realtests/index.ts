export { RealTests } from './parts/RealTests';
