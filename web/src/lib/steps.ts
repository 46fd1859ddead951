const SHORT: Record<string, string> = {
  FORWARD: 'forwarded',
  REDIRECT: 'redirected',
  REPLY: 'replied to',
  ANSWER_COPY: 'copied',
  BRING_BACK: 'brought back',
  FOLLOW_UP: 'brought back',
};

/** What a step did, for a narrow column: without the addresses. */
export function shortDone(kind: string, words: string): string {
  return SHORT[kind] ?? words;
}
