import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDone } from '../mailbox';
import { moved, switched, withRules, type Rule, type RuleBook } from './model';
import { useChangedHands, useSaveRuleBook } from './queries';

/** A move after which other rules would handle some mail, before it is saved. */
export interface AskedMove {
  what: string;
  preview: Schemas['ChangedHandsView'];
  go: () => void;
}

/** What people can do with a row of the rules. */
export interface RowActs {
  select: (rule: Rule) => void;
  open: (rule: Rule) => void;
  toggle: (rule: Rule, on: boolean) => void;
  move: (rule: Rule, by: number) => void;
  /** Another rule was dropped on this one and takes its place. */
  dropped: (id: string, at: Rule) => void;
}

interface Shown {
  version: number;
  document: RuleBook;
}

/** How rules are saved, other than from the version that is shown. */
interface SavingOf {
  base?: number;
  despiteTrials?: boolean;
}

export type Saving = ReturnType<typeof useSaving>;

/** Saves changed rules and says so, with a way back. */
export function useSaving({ version, document }: Shown) {
  const saving = useSaveRuleBook();
  const { tell } = useDone();
  const { mutate } = saving;
  const acts = useMemo(() => {
    const saveBook = (changed: RuleBook, what: string, of: SavingOf = {}) =>
      mutate(
        {
          baseVersion: of.base ?? version,
          document: changed,
          despiteTrials: of.despiteTrials ?? false,
        },
        {
          onSuccess: (saved) =>
            tell({
              text: what,
              takeBack: () =>
                mutate(
                  { baseVersion: saved.version, document },
                  { onSuccess: () => tell({ text: `Undone: ${what}` }) },
                ),
            }),
        },
      );
    const save = (rules: Rule[], what: string) => saveBook(withRules(document, rules), what);
    return { save, saveBook };
  }, [mutate, tell, version, document]);
  return { ...acts, error: saving.error, refused: saving.variables };
}

/** The acts stay the same until the rules change, so that rows that did not change are left alone. */
export function useRowActs(
  shown: Shown,
  select: (id: string) => void,
  onMoved: (rule: Rule, order: number) => void,
) {
  const saving = useSaving(shown);
  const { save } = saving;
  const changed = useChangedHands();
  const { mutate: ask } = changed;
  const [asked, setAsked] = useState<AskedMove>();
  const navigate = useNavigate();
  const { document } = shown;
  const acts = useMemo<RowActs>(() => {
    const rules = document.rules;
    const move = (rule: Rule, by: number) => {
      const from = rules.indexOf(rule);
      const to = from + by;
      if (to < 0 || to >= rules.length) {
        return;
      }
      const order = moved(rules, from, to);
      const go = () => {
        save(order, `“${rule.name}” is now number ${to + 1}.`);
        onMoved(rule, to + 1);
      };
      ask(withRules(document, order), {
        onSuccess: (preview) =>
          preview.changed === 0
            ? go()
            : setAsked({ what: `“${rule.name}” as number ${to + 1}?`, preview, go }),
      });
    };
    return {
      select: (rule) => select(rule.id),
      open: (rule) => void navigate(`/rules/${rule.id}`),
      toggle: (rule, on) =>
        save(switched(rules, rule.id, on), `“${rule.name}” is ${on ? 'on. New mail only' : 'paused'}.`),
      move,
      dropped: (id, at) => {
        const rule = rules.find((one) => one.id === id);
        if (rule && rule !== at) {
          move(rule, rules.indexOf(at) - rules.indexOf(rule));
        }
      },
    };
  }, [document, save, ask, navigate, select, onMoved]);
  return { acts, asked, answered: () => setAsked(undefined), error: changed.error, saving };
}
