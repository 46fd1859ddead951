import type { Live } from './live';

/** How what is shown is kept up to date: by the stream, or while there is none by asking. */
class Asking {
  live: Live | undefined;

  /** Asks so often while no stream tells what has changed. */
  every(milliseconds: number): () => number | false {
    return () => (this.live?.isUp === true ? false : milliseconds);
  }
}

export const asking = new Asking();
