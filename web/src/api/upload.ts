import { csrfToken } from './client';
import { problemOf } from './problem';

/** Sends a file as it is. */
export async function upload<T>(method: 'PUT' | 'POST', path: string, file: File): Promise<T> {
  const response = await fetch(path, {
    method,
    headers: { 'X-XSRF-TOKEN': csrfToken(), 'Content-Type': file.type || 'application/octet-stream' },
    body: file,
  });
  if (!response.ok) {
    throw problemOf(response.status, await response.json().catch(() => undefined));
  }
  return (await response.json()) as T;
}
