/** A refusal of the server (RFC 9457), with the places it names. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly places: { path: string; message: string }[],
    readonly more: Record<string, unknown>,
  ) {
    super(detail);
  }
}

export function problemOf(status: number, body: unknown): Problem {
  const more = (typeof body === 'object' && body !== null ? body : {}) as Record<string, unknown>;
  const detail = typeof more['detail'] === 'string' ? more['detail'] : fallback(status);
  const places = Array.isArray(more['places']) ? (more['places'] as { path: string; message: string }[]) : [];
  return new Problem(status, detail, places, more);
}

function fallback(status: number): string {
  if (status === 0) {
    return 'Jubek does not answer. Is it running? What you typed is still here.';
  }
  if (status === 401) {
    return 'Your session has ended. Sign in again; what you typed is still here.';
  }
  return `Jubek refused this (${status}).`;
}

export function problemText(failed: unknown): string {
  return failed instanceof Error ? failed.message : String(failed);
}
