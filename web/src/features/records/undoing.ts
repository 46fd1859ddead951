import type { Schemas } from '../../api/client';
import { plainDay } from '../../lib/dates';
import { doneInWords } from '../incoming';
import { dayIn } from '../mailbox';
import type { UndoChoice } from '../undo';
import type { Group } from './model';

/** What can be undone from one step on: the step, all that its rule did with the message, or on that day. */
export function undoChoices(group: Group, step: Schemas['StepView'], zone: string | undefined): UndoChoice[] {
  const undoable = group.steps.filter((one) => one.mayBeUndone);
  const day = dayIn(zone, new Date(step.settledAt ?? step.plannedAt));
  return [
    { words: `this step: ${doneInWords(step)}`, request: { steps: [step.id] } },
    ...(undoable.length > 1
      ? [
          {
            words: `all that “${group.name}” did with this message`,
            request: { steps: undoable.map((one) => one.id) },
          },
        ]
      : []),
    {
      words: `all that “${group.name}” did on ${plainDay(day)}`,
      request: { rule: group.rule, day },
    },
  ];
}
