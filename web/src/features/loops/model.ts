import type { Schemas } from '../../api/client';
import { Problem } from '../../api/problem';

export type TriedRule = Schemas['TriedRule'];
export type Passed = Schemas['PassedView'];
export type Edge = Schemas['EdgeView'];
export type Node = Schemas['Node'];

/** What came of a rule when it was played through. */
export function outcomeInWords(how: TriedRule['how']): string {
  switch (how) {
    case 'ENDLESS':
      return 'goes round without end';
    case 'WENT_ROUND':
      return 'goes round, and ends';
    case 'CAME_BACK':
      return 'comes back, and is not sent on';
    case 'QUIET':
      return 'does not come back';
    case undefined:
      return 'not played through: no message could be made up that it picks';
  }
}

/** Against whom it was played through. */
export function amongInWords(among: TriedRule['among']): string {
  switch (among) {
    case 'ANSWERS_EVERYTHING':
      return 'If everybody outside is a program that answers every message:';
    case 'AUTOMATIC_REPLIER':
      return 'If everybody has an automatic reply that keeps to the standard (RFC 3834):';
    default:
      return 'If people answer:';
  }
}

const DONE: Partial<Record<NonNullable<Passed['kind']>, string>> = {
  FORWARD: 'forwarded',
  REDIRECT: 'redirected',
  REPLY: 'replied',
};

/** What made one message of an exchange. */
export function madeBy(passed: Passed, first: boolean): string {
  if (first) {
    return 'a message that the rule picks';
  }
  if (passed.kind === undefined) {
    return 'an answer to it';
  }
  const done = DONE[passed.kind] ?? 'sent';
  return passed.rule ? `${done} by “${passed.rule}”` : `${done} by a rule of another mailbox`;
}

/** An address, or that it is not for everybody to see. */
export function whoInWords(address: string | undefined): string {
  return address ?? 'somebody else';
}

export function nameOf(node: Node | undefined): string {
  return node === undefined || node.where === 'SENDERS' ? 'whoever writes' : node.id;
}

/** How an edge is drawn. */
export type Line = 'endless' | 'round' | 'answer' | 'plain';

export function lineOf(edge: Edge): Line {
  if (edge.round === 'ENDLESS') {
    return 'endless';
  }
  if (edge.round === 'WENT_ROUND') {
    return 'round';
  }
  return edge.by.length === 0 ? 'answer' : 'plain';
}

/** An edge read out: who sends what to whom. */
export function edgeInWords(edge: Edge, nodes: Map<string, Node>): string {
  const [from, to] = [nameOf(nodes.get(edge.from)), nameOf(nodes.get(edge.to))];
  const round =
    edge.round === 'ENDLESS' ? ', without end' : edge.round === 'WENT_ROUND' ? ', going round' : '';
  if (edge.by.length === 0) {
    return `${from} answers ${to}${round}`;
  }
  const rules = edge.by.map((by) => `${DONE[by.kind] ?? 'sent'} by “${by.name}”`).join(', ');
  return `${from} to ${to}: ${rules}${round}`;
}

/** The rule for which rules were refused, as it would send mail round without end. */
export function loopOf(failed: unknown): string | undefined {
  const rule = failed instanceof Problem ? failed.more['loop'] : undefined;
  return typeof rule === 'string' ? rule : undefined;
}
