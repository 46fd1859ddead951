import createClient, { type Middleware } from 'openapi-fetch';
import { problemOf } from './problem';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

const TOKEN = /(?:^|;\s*)XSRF-TOKEN=([^;]+)/;

export function csrfToken(): string {
  return TOKEN.exec(document.cookie)?.[1] ?? '';
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', csrfToken());
    }
    return request;
  },
};

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request: Request) => globalThis.fetch(request),
});
api.use(withToken);

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of a reply; a refusal is thrown as a Problem. */
export async function unwrap<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch (failed) {
    if (failed instanceof DOMException && failed.name === 'AbortError') {
      throw failed;
    }
    throw problemOf(0, undefined);
  }
  if (!answer.response.ok) {
    throw problemOf(answer.response.status, answer.error);
  }
  return answer.data as T;
}

export async function signIn(name: string, password: string): Promise<void> {
  const response = await fetch('/api/sign-in', {
    method: 'POST',
    headers: { 'X-XSRF-TOKEN': csrfToken() },
    body: new URLSearchParams({ username: name, password }),
  });
  if (!response.ok) {
    throw problemOf(response.status, await response.json().catch(() => undefined));
  }
}

export async function signOut(): Promise<void> {
  await fetch('/api/sign-out', { method: 'POST', headers: { 'X-XSRF-TOKEN': csrfToken() } });
}
