import { Glyph, type Happening } from '../../../ui/glyphs';
import { amongInWords, madeBy, whoInWords, type TriedRule } from '../model';

/** The messages of an exchange one after the other, and how it ended. */
export function Messages({ tried }: { tried: TriedRule }) {
  if (tried.messages.length === 0) {
    return null;
  }
  return (
    <>
      <p className="mt-2 text-sm text-ink2">{amongInWords(tried.among)}</p>
      <ol className="mt-1" aria-label={`Messages of “${tried.name}”`}>
        {tried.messages.map((passed, i) => (
          <li key={i} className="flex gap-2 border-t border-line py-1.5">
            <span className="figures w-5 shrink-0 text-right text-ink2">{i + 1}</span>
            <span className="min-w-0 grow">
              <span className="block break-words">
                {whoInWords(passed.from)} <span className="text-ink2">to</span> {whoInWords(passed.to)}
              </span>
              {passed.subject !== undefined && (
                <span className="block truncate text-sm text-ink2">{passed.subject || '(no subject)'}</span>
              )}
              <span className="flex items-center gap-1.5 text-sm">
                {passed.kind && <Glyph of={passed.kind as Happening} />}
                {madeBy(passed, i === 0)}
              </span>
            </span>
          </li>
        ))}
      </ol>
      <p className="border-t border-line py-1.5 font-semibold">{endOf(tried)}</p>
    </>
  );
}

function endOf(tried: TriedRule): string {
  if (tried.how === 'ENDLESS') {
    return '… and so on, without end. Only the limits of an hour would hold it.';
  }
  return tried.endedBy
    ? `The next is withheld: ${tried.endedBy.words}.`
    : 'The next is withheld by a rule of another mailbox.';
}
