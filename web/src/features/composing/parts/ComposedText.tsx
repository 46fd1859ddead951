import { Fragment } from 'react';
import { counted } from '../../../lib/numbers';
import type { Sentence } from '../queries';

const SOURCES = {
  MESSAGE: 'the message',
  REPLY: 'the rule’s reply',
  INSTRUCTION: 'the instruction',
};

/** A composed reply, in which what nothing bears out is marked; where each sentence comes from can be looked up. */
export function ComposedText({ sentences }: { sentences: Sentence[] }) {
  const unsupported = sentences.filter((sentence) => sentence.from === undefined).length;
  return (
    <>
      <div className="rounded border border-line2 px-3 py-2 break-words">
        {paragraphsOf(sentences).map((paragraph, i) => (
          <p key={i} className="mb-2 last:mb-0">
            {paragraph.map((sentence, j) => (
              <Fragment key={j}>
                {j > 0 && sentence.begins === 'LINE' && <br />}
                <Shown sentence={sentence} />
              </Fragment>
            ))}
          </p>
        ))}
      </div>
      {unsupported > 0 && (
        <p className="mt-1 text-sm text-clay">
          {counted(unsupported, 'sentence')} with a wavy line {unsupported === 1 ? 'has' : 'have'} no source
          in the message, the rule’s reply or the instruction. Check {unsupported === 1 ? 'it' : 'them'}{' '}
          before you send.
        </p>
      )}
      <details className="mt-1 text-sm text-ink2">
        <summary className="cursor-pointer">Where each sentence comes from</summary>
        <ul className="mt-1 grid gap-1">
          {sentences.map((sentence, i) => (
            <li key={i} className="break-words">
              <span className="text-ink">{sentence.text}</span>{' '}
              {sentence.from === undefined
                ? '— no source'
                : `— from ${SOURCES[sentence.from]}: “${sentence.quote ?? ''}”`}
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}

function Shown({ sentence }: { sentence: Sentence }) {
  return sentence.from === undefined ? (
    <>
      <mark className="bg-transparent text-clay underline decoration-wavy underline-offset-4">
        <span className="sr-only">no source: </span>
        {sentence.text}
      </mark>{' '}
    </>
  ) : (
    <>{sentence.text} </>
  );
}

/** The sentences, by paragraph. */
function paragraphsOf(sentences: Sentence[]): Sentence[][] {
  const paragraphs: Sentence[][] = [];
  for (const sentence of sentences) {
    const last = paragraphs[paragraphs.length - 1];
    if (last === undefined || sentence.begins === 'PARAGRAPH') {
      paragraphs.push([sentence]);
    } else {
      last.push(sentence);
    }
  }
  return paragraphs;
}
