import type { ReactNode } from 'react';
import { plainDay } from '../../../lib/dates';
import { count } from '../../../lib/numbers';
import { Bars } from '../../../ui/Bars';
import { byDay, difference, mostOf, type Result } from '../model';
import type { Ask } from './Result';

interface Props {
  of: Result;
  onAsk: Ask;
}

const HEAD = 'px-3 py-1 text-left font-semibold text-ink2';
const CELL = 'border-t border-line px-3 py-1';

/** A number that opens its messages. */
function Opens({ n, label, onOpen }: { n: number; label: string; onOpen: () => void }) {
  return n === 0 ? (
    <span className="text-ink2">0</span>
  ) : (
    <button
      type="button"
      aria-label={`${label}: ${count(n)}`}
      className="font-semibold text-moss underline-offset-2 hover:underline"
      onClick={onOpen}
    >
      {count(n)}
    </button>
  );
}

function Table({ head, children }: { head: string[]; children: ReactNode }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-[13.5px]">
        <thead>
          <tr>
            {head.map((one) => (
              <th key={one} scope="col" className={HEAD}>
                {one}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

function Nothing({ children }: { children: ReactNode }) {
  return <p className="px-3 pb-3 text-ink2">{children}</p>;
}

export function OfRules({ of, onAsk }: Props) {
  if (of.rules.length === 0) {
    return <Nothing>No rule picks anything.</Nothing>;
  }
  return (
    <Table head={['rule', 'now', 'then', '', 'by week, then']}>
      {of.rules.map((rule) => (
        <tr key={rule.rule}>
          <th scope="row" className={`${CELL} text-left font-semibold`}>
            {rule.name}
          </th>
          <td className={CELL}>
            <Opens
              n={rule.before}
              label={`${rule.name}, now`}
              onOpen={() => onAsk({ of: 'RULE_BEFORE', one: rule.rule }, `picked by “${rule.name}” now`)}
            />
          </td>
          <td className={CELL}>
            <Opens
              n={rule.after}
              label={`${rule.name}, then`}
              onOpen={() => onAsk({ of: 'RULE_AFTER', one: rule.rule }, `picked by “${rule.name}” then`)}
            />
          </td>
          <td className={`${CELL} font-semibold text-clay`}>{difference(rule.before, rule.after)}</td>
          <td className={CELL}>
            <Bars
              values={rule.weeks.map((week) => week.after)}
              label={`by week: ${rule.weeks.map((week) => `${plainDay(week.week)} ${week.after}`).join(', ')}`}
            />
          </td>
        </tr>
      ))}
    </Table>
  );
}

const IN_MATRIX = 10;

/** Which rules pick the same messages, as a matrix. */
export function Overlaps({ of, onAsk }: Props) {
  if (of.overlaps.length === 0) {
    return <Nothing>No two rules pick the same message.</Nothing>;
  }
  const names = new Map(
    of.overlaps.flatMap((one) => [
      [one.one, one.oneName],
      [one.other, one.otherName],
    ]),
  );
  const rules = [...names].slice(0, IN_MATRIX);
  const between = (a: string, b: string) =>
    of.overlaps.find((one) => (one.one === a && one.other === b) || (one.one === b && one.other === a));
  return (
    <Table head={['', ...rules.map(([, name]) => name)]}>
      {rules.map(([row, name]) => (
        <tr key={row}>
          <th scope="row" className={`${CELL} text-left font-semibold`}>
            {name}
          </th>
          {rules.map(([column, other]) => {
            const both = between(row, column);
            return (
              <td key={column} className={CELL}>
                {both ? (
                  <Opens
                    n={both.messages}
                    label={`${name} and ${other}`}
                    onOpen={() =>
                      onAsk(
                        { of: 'OVERLAP', one: both.one, other: both.other },
                        `picked by “${name}” and “${other}”`,
                      )
                    }
                  />
                ) : (
                  <span className="text-ink2">{row === column ? '–' : '0'}</span>
                )}
              </td>
            );
          })}
        </tr>
      ))}
    </Table>
  );
}

export function Near({ of, onAsk }: Props) {
  if (of.nearMisses.length === 0) {
    return <Nothing>No message nearly meets the criteria of a rule that is new or changed.</Nothing>;
  }
  return (
    <Table head={['rule', 'near misses']}>
      {of.nearMisses.map((one) => (
        <tr key={one.rule}>
          <th scope="row" className={`${CELL} text-left font-semibold`}>
            {one.name}
          </th>
          <td className={CELL}>
            <Opens
              n={one.messages}
              label={`near misses of ${one.name}`}
              onOpen={() => onAsk({ of: 'NEAR', one: one.rule }, `nearly picked by “${one.name}”`)}
            />
          </td>
        </tr>
      ))}
    </Table>
  );
}

export function Again({ of, onAsk }: Props) {
  if (of.again.length === 0) {
    return <Nothing>Nobody would be replied to more than once.</Nothing>;
  }
  return (
    <Table head={['sender', 'replies now', 'replies then']}>
      {of.again.map((one) => (
        <tr key={one.sender}>
          <th scope="row" className={`${CELL} text-left font-semibold`}>
            {one.sender}
          </th>
          <td className={CELL}>{count(one.before)}</td>
          <td className={CELL}>
            <Opens
              n={one.after}
              label={`replies to ${one.sender}`}
              onOpen={() => onAsk({ of: 'AGAIN', one: one.sender }, `replies to ${one.sender}`)}
            />
          </td>
        </tr>
      ))}
    </Table>
  );
}

export function Volumes({ of, onAsk }: Props) {
  if (of.volumes.length === 0) {
    return <Nothing>Nothing would leave this mailbox.</Nothing>;
  }
  return (
    <Table head={['to', 'now', 'then', 'busiest day, then', 'by day, then']}>
      {of.volumes.map((one) => {
        const name = one.destination || 'senders, as replies';
        const asked =
          one.destination === ''
            ? ({ of: 'REPLIES' } as const)
            : ({ of: 'TO', one: one.destination } as const);
        const busiest = mostOf(one.days);
        return (
          <tr key={one.destination}>
            <th scope="row" className={`${CELL} text-left font-semibold`}>
              {name}
            </th>
            <td className={CELL}>{count(one.before)}</td>
            <td className={CELL}>
              <Opens n={one.after} label={`to ${name}`} onOpen={() => onAsk(asked, `to ${name}`)} />
            </td>
            <td className={CELL}>
              {busiest && (
                <>
                  <Opens
                    n={busiest.messages}
                    label={`to ${name} on ${plainDay(busiest.day)}`}
                    onOpen={() =>
                      onAsk(
                        { ...asked, since: busiest.day, days: 1 },
                        `to ${name} on ${plainDay(busiest.day)}`,
                      )
                    }
                  />{' '}
                  <span className="text-ink2">on {plainDay(busiest.day)}</span>
                </>
              )}
            </td>
            <td className={CELL}>
              <Bars
                values={byDay(one.days)}
                label={`by day: ${one.days.map((day) => `${plainDay(day.day)} ${day.messages}`).join(', ')}`}
              />
            </td>
          </tr>
        );
      })}
    </Table>
  );
}
