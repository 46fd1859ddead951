/** What a browser says of itself, as far as it helps to know it again. */
export function deviceInWords(agent: string): string {
  if (!agent.startsWith('Mozilla/')) {
    return 'Another program';
  }
  return /Mobile|Android/.test(agent) ? 'A phone or tablet' : 'A computer';
}
