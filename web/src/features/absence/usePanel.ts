import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useToday } from '../mailbox';
import { newForm, type Absence, type Form } from './model';
import { useAbsences } from './queries';

const DAY = 86_400_000;
const USUAL_DAYS = 6;

function daysAfter(day: string, days: number): string {
  return new Date(Date.parse(day) + days * DAY).toISOString().slice(0, 10);
}

export interface Panel {
  absences: Absence[];
  /** The one that is open, as it is planned; absent for a new one. */
  open: Absence | undefined;
  /** As it is being filled in; absent where none is. */
  form: Form | undefined;
  /** An absence that is over and looked back on. */
  back: string | undefined;
  /** Opens an absence, or a new one, by its days or as it is being changed. */
  show: (of: Absence | undefined, days?: { first: string; last: string }) => void;
  change: (changed: (now: Form) => Form) => void;
  close: () => void;
}

/** The absence that is open, by the address of the page: ?away=new, ?away=ID, ?back=ID. */
export function usePanel(): Panel {
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const planned = useAbsences();
  const [edited, setEdited] = useState<{ of: string; form: Form }>();
  const absences = planned.data?.absences ?? [];
  const away = search.get('away') ?? undefined;
  const found = absences.find(({ id }) => id === away);
  const over = found?.over === true ? found.id : undefined;
  const begun = away === 'new' ? newForm(daysAfter(today, 1), daysAfter(today, 1 + USUAL_DAYS)) : found?.form;
  const isOpen = away !== undefined && over === undefined && planned.data !== undefined;
  const go = (to: Record<string, string>) => setSearch(to, { replace: true });
  return {
    absences,
    open: found,
    form: isOpen ? (edited?.of === away ? edited.form : begun) : undefined,
    back: search.get('back') ?? over,
    show: (of, days) => {
      const id = of?.id ?? 'new';
      const form = away === id && edited?.of === id ? edited.form : (of?.form ?? newForm(today, today));
      if (days && !of?.over) {
        setEdited({ of: id, form: { ...form, ...days } });
      }
      go({ away: id });
    },
    change: (changed) => {
      if (away !== undefined && begun) {
        setEdited((now) => ({ of: away, form: changed(now?.of === away ? now.form : begun) }));
      }
    },
    close: () => {
      setEdited(undefined);
      go({});
    },
  };
}
