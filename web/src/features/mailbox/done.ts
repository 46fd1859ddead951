import { createContext, useContext } from 'react';

export interface DoneLine {
  text: string;
  takeBack?: () => void;
  /** What one may want to do next, and where. */
  next?: { text: string; to: string };
}

interface DoneStore {
  line: DoneLine | undefined;
  tell: (line: DoneLine | undefined) => void;
}

/** What was just done, for the line in the top strip. */
export const Done = createContext<DoneStore>({ line: undefined, tell: () => {} });

export function useDone(): DoneStore {
  return useContext(Done);
}
