export type Happening =
  | 'FORWARD'
  | 'REDIRECT'
  | 'REPLY'
  | 'ANSWER_COPY'
  | 'FILE'
  | 'FILE_ELSEWHERE'
  | 'OUT_OF_JUNK'
  | 'ARCHIVE'
  | 'COPY'
  | 'TRASH'
  | 'DELETE'
  | 'MARK'
  | 'NOTIFY'
  | 'REMIND'
  | 'KEEP'
  | 'BRING_BACK'
  | 'FOLLOW_UP'
  | 'UNDO'
  | 'HELD';

const SHAPES: Record<Happening, { colour: string; draw: React.ReactNode }> = {
  FORWARD: {
    colour: 'text-forward',
    draw: (
      <>
        <rect x="1.75" y="1.75" width="12.5" height="12.5" rx="1.5" />
        <rect x="5" y="5.5" width="6" height="5" rx=".8" fill="currentColor" stroke="none" />
      </>
    ),
  },
  REDIRECT: {
    colour: 'text-redirect',
    draw: (
      <>
        <path d="M8 1v4M8 11v4" />
        <rect x="2" y="5" width="12" height="6" rx="1" />
        <path d="M8 5v6" strokeDasharray="1.5 1.5" />
      </>
    ),
  },
  REPLY: {
    colour: 'text-reply-deep',
    draw: (
      <>
        <path d="M2 3.5h12" strokeWidth="2.6" />
        <path d="M3 7.5v6" />
        <path d="M6 8.5h8M6 12.5h6" strokeWidth="1.2" />
      </>
    ),
  },
  FILE: {
    colour: 'text-file',
    draw: (
      <>
        <path d="M2 6.5h12v7.5H2z" />
        <path d="M3.5 6.5V2.8h4v3.7" />
        <path d="M2 10h12" strokeWidth="1.2" />
      </>
    ),
  },
  FILE_ELSEWHERE: {
    colour: 'text-file',
    draw: (
      <>
        <path d="M2 6.5h12v7.5H2z" />
        <path d="M6 6.5V2h4v4.5" strokeDasharray="2 1.4" />
        <path d="M2 10h12M6 14v-4M10 14v-4" strokeWidth="1.2" />
      </>
    ),
  },
  OUT_OF_JUNK: {
    colour: 'text-file',
    draw: (
      <>
        <path d="M3 9.5 4 14h8l1-4.5" />
        <path d="M5 7V2h6v5" />
        <path d="M5 10.5h6" strokeWidth="1.2" />
      </>
    ),
  },
  ANSWER_COPY: {
    colour: 'text-reply-deep',
    draw: (
      <>
        <path d="M2 3.5h9" strokeWidth="2.6" />
        <path d="M2 8h9M2 11.5h6" strokeWidth="1.2" />
        <path d="M13.5 2v12" strokeDasharray="2 1.4" />
      </>
    ),
  },
  ARCHIVE: {
    colour: 'text-file',
    draw: (
      <>
        <path d="M2 2.5h12v3.5H2z" />
        <path d="M3 6v8h10V6" />
        <path d="M6 9h4" strokeWidth="1.2" />
      </>
    ),
  },
  TRASH: {
    colour: 'text-ink2',
    draw: (
      <>
        <path d="M3 5.5 4.5 14h7L13 5.5" />
        <path d="M5.5 9.5 8 7l2.5 2.5" strokeWidth="1.2" />
      </>
    ),
  },
  DELETE: {
    colour: 'text-clay',
    draw: (
      <>
        <path d="M3 5.5 4.5 14h7L13 5.5" />
        <path d="M5.5 7 10.5 12M10.5 7 5.5 12" strokeWidth="1.2" />
      </>
    ),
  },
  NOTIFY: {
    colour: 'text-ink2',
    draw: (
      <>
        <circle cx="8" cy="8" r="2" fill="currentColor" stroke="none" />
        <path d="M4.5 4.5a5 5 0 0 0 0 7M11.5 4.5a5 5 0 0 1 0 7" />
      </>
    ),
  },
  REMIND: {
    colour: 'text-ink2',
    draw: (
      <>
        <circle cx="8" cy="8" r="6" />
        <path d="M8 4.5V8l2.5 2" />
      </>
    ),
  },
  KEEP: {
    colour: 'text-ink2',
    draw: (
      <>
        <path d="M1.5 9v5h13V9h-4l-1 2h-3l-1-2z" />
        <path d="M8 1.5v5M5.5 4.5 8 7l2.5-2.5" />
      </>
    ),
  },
  COPY: {
    colour: 'text-file',
    draw: (
      <>
        <path d="M2 8.5h9v5.5H2z" />
        <path d="M5 8.5V2.5h9v7.5h-3" strokeDasharray="2 1.4" />
      </>
    ),
  },
  MARK: {
    colour: 'text-ink2',
    draw: (
      <>
        <path d="M2.5 2.5h11v11h-11z" />
        <path d="M13.5 2.5v5l-5-5z" fill="currentColor" />
      </>
    ),
  },
  BRING_BACK: {
    colour: 'text-clay',
    draw: (
      <>
        <path d="M2 9h12v5H2z" />
        <path d="M8 7.5v-5M5.5 4.5h5" />
      </>
    ),
  },
  FOLLOW_UP: {
    colour: 'text-ink2',
    draw: (
      <>
        <path d="M2 9h12v5H2z" />
        <path d="M8 7.5v-5M5.5 4.5h5" strokeDasharray="1.5 1.5" />
      </>
    ),
  },
  UNDO: {
    colour: 'text-ink2',
    draw: (
      <>
        <path d="M2 9h12v5H2z" strokeDasharray="2.4 1.8" />
        <path d="M12.5 6.5v-4h-9v4" />
      </>
    ),
  },
  HELD: {
    colour: 'text-clay',
    draw: <rect x="2" y="2" width="12" height="12" rx="1.5" strokeDasharray="2.4 1.8" />,
  },
};

/** What happens to a message, as a small picture; the word always stands beside it. */
export function Glyph({ of }: { of: Happening }) {
  const shape = SHAPES[of];
  return (
    <svg
      viewBox="0 0 16 16"
      className={`inline size-4 shrink-0 ${shape.colour}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      aria-hidden="true"
    >
      {shape.draw}
    </svg>
  );
}
