import { shortDate } from '../../../lib/dates';
import { useNow } from '../now';

/** "14:02" on the day it is for the server, else "20 Nov". */
export function ShortDate({ of }: { of: string }) {
  return <>{shortDate(of, useNow())}</>;
}
