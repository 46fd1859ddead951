import { createContext } from 'react';
import type { Asked } from '../../model';

/** The edited rule, for what has to be asked about it from deep within. */
export const EditedRule = createContext<{ asked: Asked | undefined; order: number }>({
  asked: undefined,
  order: 0,
});
