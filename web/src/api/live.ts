/** Something of a mailbox has changed; what, is to be asked for. */
export interface Signal {
  topic: 'MESSAGES' | 'STEPS' | 'WORK' | 'NOTICES' | 'TRIALS' | 'MAILBOX';
  mailbox: string;
}

/** What is told to a page, by the stream or by the tab that has it. */
type Told =
  | { kind: 'changed'; signal: Signal; id: string }
  | { kind: 'live'; is: boolean }
  | { kind: 'behind' }
  | { kind: 'ended' };

type Message = Told | { kind: 'is it live?' };

export interface Listener {
  changed(signal: Signal): void;
  /** Nobody knows what changed meanwhile. */
  behind(): void;
  /** Nobody is signed in any more. */
  ended(): void;
}

const NAME = 'jubek live';
const TRY_AGAIN = 15_000;

/**
 * Signals of the server, by one stream of events for all tabs of a browser: the tab that holds the lock has the stream
 * and tells the others. Where a browser gives no locks, each tab has a stream of its own.
 */
export class Live {
  private up = false;
  private lastId = '';
  private source: EventSource | undefined;
  private again: ReturnType<typeof setTimeout> | undefined;
  private readonly tabs = new BroadcastChannel(NAME);
  private readonly stopped = new AbortController();

  constructor(private readonly listener: Listener) {
    this.tabs.onmessage = ({ data }: MessageEvent<Message>) => this.heard(data);
    this.tabs.postMessage({ kind: 'is it live?' } satisfies Message);
    if (navigator.locks === undefined) {
      this.open();
    } else {
      navigator.locks.request(NAME, { signal: this.stopped.signal }, () => this.lead()).catch(() => {});
    }
  }

  /** Whether changes are told; where not, they are to be asked for now and then. */
  get isUp(): boolean {
    return this.up;
  }

  stop(): void {
    this.stopped.abort();
    this.close();
    this.tabs.close();
    this.up = false;
  }

  /** Holds the lock, and so the stream, for as long as this tab is there. */
  private lead(): Promise<void> {
    this.open();
    return new Promise((resolve) => this.stopped.signal.addEventListener('abort', () => resolve()));
  }

  private open(): void {
    if (this.stopped.signal.aborted) {
      return;
    }
    const source = new EventSource(`/api/events?after=${this.lastId}`);
    this.source = source;
    source.addEventListener('open', () => this.tell({ kind: 'live', is: true }));
    source.addEventListener('changed', (event: MessageEvent<string>) =>
      this.tell({ kind: 'changed', signal: JSON.parse(event.data) as Signal, id: event.lastEventId }),
    );
    source.addEventListener('behind', () => {
      this.tell({ kind: 'live', is: true });
      this.tell({ kind: 'behind' });
    });
    source.addEventListener('ended', () => {
      this.close();
      this.tell({ kind: 'live', is: false });
      this.tell({ kind: 'ended' });
    });
    source.onerror = () => {
      this.tell({ kind: 'live', is: false });
      if (source.readyState === EventSource.CLOSED) {
        this.again = setTimeout(() => this.open(), TRY_AGAIN);
      }
    };
  }

  private close(): void {
    clearTimeout(this.again);
    this.source?.close();
    this.source = undefined;
  }

  private tell(told: Told): void {
    this.tabs.postMessage(told);
    this.hear(told);
  }

  private heard(message: Message): void {
    if (message.kind !== 'is it live?') {
      this.hear(message);
    } else if (this.source !== undefined) {
      this.tabs.postMessage({ kind: 'live', is: this.up } satisfies Message);
    }
  }

  private hear(told: Told): void {
    switch (told.kind) {
      case 'changed':
        this.lastId = told.id;
        this.listener.changed(told.signal);
        break;
      case 'live':
        this.become(told.is);
        break;
      case 'behind':
        this.listener.behind();
        break;
      case 'ended':
        this.listener.ended();
        break;
    }
  }

  /** What happened between two states may have been missed. */
  private become(up: boolean): void {
    if (this.up !== up) {
      this.up = up;
      this.listener.behind();
    }
  }
}
