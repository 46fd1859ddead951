import type { ReactNode } from 'react';
import { count, counted } from '../../../lib/numbers';
import { aboutInWords } from '../../catchup';
import { useTimeLeft } from '../useTimeLeft';

interface Props {
  title: ReactNode;
  /** How it stands, where that is more than how far it is. */
  words?: string | undefined;
  done: number;
  /** 0 while it is not known. */
  of: number;
  going: boolean;
  acts: ReactNode;
}

/** One piece of long work: what it is, how far it is, how long it will take, and what can be done about it. */
export function Row({ title, words, done, of, going, acts }: Props) {
  const left = useTimeLeft(done, of);
  return (
    <li className="border-t border-line py-2">
      <p className="font-semibold">{title}</p>
      <p role="status" className="text-sm text-ink2">
        {of > 0 && `${count(done)} of ${counted(of, 'message')}`}
        {going && left !== undefined && ` · ${aboutInWords(left)} left`}
        {words && `${of > 0 ? ' · ' : ''}${words}`}
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {of > 0 && (
          <progress className="accent-moss" aria-label="How far it is" max={of} value={Math.min(done, of)} />
        )}
        {acts}
      </div>
    </li>
  );
}
