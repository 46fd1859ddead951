import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Live, type Listener, type Signal } from './live';

/** A stream as the browser opens it; the test says what comes. */
class Stream extends EventTarget {
  static opened: Stream[] = [];
  static readonly CLOSED = 2;
  readyState = 1;
  onerror: () => void = () => {};

  constructor(readonly url: string) {
    super();
    Stream.opened.push(this);
  }

  says(name: string, data?: Signal, lastEventId = ''): void {
    this.dispatchEvent(
      new MessageEvent(name, { data: data === undefined ? '' : JSON.stringify(data), lastEventId }),
    );
  }

  breaks(readyState: number): void {
    this.readyState = readyState;
    this.onerror();
  }

  close(): void {
    this.readyState = Stream.CLOSED;
  }
}

/** The tabs of a browser, told at once. */
class Tabs {
  static all: Tabs[] = [];
  onmessage: (event: { data: unknown }) => void = () => {};

  constructor() {
    Tabs.all.push(this);
  }

  postMessage(data: unknown): void {
    Tabs.all.filter((tab) => tab !== this).forEach((tab) => tab.onmessage({ data }));
  }

  close(): void {
    Tabs.all = Tabs.all.filter((tab) => tab !== this);
  }
}

/** One holder at a time, the next when it lets go. */
class Locks {
  private last: Promise<unknown> = Promise.resolve();

  request(_name: string, _options: unknown, holds: () => Promise<void>): Promise<void> {
    const mine = this.last.then(holds);
    this.last = mine;
    return mine;
  }
}

const MESSAGES: Signal = { topic: 'MESSAGES', mailbox: 'visits' };

function listener() {
  return { changed: vi.fn<Listener['changed']>(), behind: vi.fn<() => void>(), ended: vi.fn<() => void>() };
}

beforeEach(() => {
  Stream.opened = [];
  Tabs.all = [];
  vi.stubGlobal('EventSource', Stream);
  vi.stubGlobal('BroadcastChannel', Tabs);
  vi.stubGlobal('navigator', { locks: new Locks() });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

async function tab() {
  const heard = listener();
  const live = new Live(heard);
  await Promise.resolve();
  await Promise.resolve();
  return { live, heard };
}

test('tabs share one stream, and another goes on with it where the first left off', async () => {
  const first = await tab();
  const second = await tab();
  expect(Stream.opened).toHaveLength(1);
  Stream.opened[0]?.says('open');
  Stream.opened[0]?.says('changed', MESSAGES, '42');
  expect(first.heard.changed).toHaveBeenCalledWith(MESSAGES);
  expect(second.heard.changed).toHaveBeenCalledWith(MESSAGES);
  expect(second.live.isUp).toBe(true);
  first.live.stop();
  await vi.waitFor(() => expect(Stream.opened).toHaveLength(2));
  expect(Stream.opened[1]?.url).toBe('/api/events?after=42');
});

test('a tab that comes later knows that there is a stream', async () => {
  await tab();
  Stream.opened[0]?.says('open');
  expect((await tab()).live.isUp).toBe(true);
});

test('while the stream is broken pages ask by themselves, and it is tried again', async () => {
  const { live, heard } = await tab();
  vi.useFakeTimers();
  const stream = Stream.opened[0];
  stream?.says('open');
  stream?.breaks(Stream.CLOSED);
  expect(live.isUp).toBe(false);
  expect(heard.behind).toHaveBeenCalledTimes(2);
  vi.advanceTimersByTime(20_000);
  expect(Stream.opened).toHaveLength(2);
  Stream.opened[1]?.says('open');
  expect(live.isUp).toBe(true);
});

test('the end of the sign-in ends the stream', async () => {
  const { live, heard } = await tab();
  Stream.opened[0]?.says('open');
  Stream.opened[0]?.says('ended');
  expect(heard.ended).toHaveBeenCalledOnce();
  expect(live.isUp).toBe(false);
  expect(Stream.opened[0]?.readyState).toBe(Stream.CLOSED);
});
