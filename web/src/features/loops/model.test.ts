import { expect, test } from 'vitest';
import { head, placed, smooth } from './layout';
import { edgeInWords, lineOf, madeBy, type Edge, type Node } from './model';

const VISITS: Node = { id: 'visits@ostrel-gardens.example', where: 'HERE' };
const PRESS: Node = { id: 'desk@parish-paper.example', where: 'OUTSIDE' };
const SENDERS: Node = { id: 'senders', where: 'SENDERS' };
const sent: Edge = {
  from: VISITS.id,
  to: PRESS.id,
  by: [{ rule: 'press', name: 'Press', kind: 'FORWARD' }],
  inCircle: true,
  round: 'ENDLESS',
};
const answered: Edge = { from: PRESS.id, to: VISITS.id, by: [], inCircle: true, round: 'ENDLESS' };

test('mail and the answer to it are drawn beside each other, from left to right', () => {
  const { nodes, edges } = placed([VISITS, PRESS], [sent, answered]);

  expect(nodes[0]!.x).toBeLessThan(nodes[1]!.x);
  expect(smooth(edges[0]!.points)).not.toEqual(smooth([...edges[1]!.points].reverse()));
  expect(head(edges[0]!.points).split(' ')).toHaveLength(3);
});

test('an edge says in words who sends what, and what goes round', () => {
  const nodes = new Map([VISITS, PRESS, SENDERS].map((node) => [node.id, node]));

  expect(edgeInWords(sent, nodes)).toBe(
    'visits@ostrel-gardens.example to desk@parish-paper.example: forwarded by “Press”, without end',
  );
  expect(edgeInWords({ ...answered, from: SENDERS.id }, nodes)).toBe(
    'whoever writes answers visits@ostrel-gardens.example, without end',
  );
  expect(lineOf({ ...answered, round: undefined })).toBe('answer');
});

test('a rule of a mailbox that is not ours to see has no name', () => {
  expect(madeBy({ kind: 'REDIRECT' }, false)).toBe('redirected by a rule of another mailbox');
  expect(madeBy({ kind: 'REPLY', rule: 'Prices' }, false)).toBe('replied by “Prices”');
  expect(madeBy({}, false)).toBe('an answer to it');
});
