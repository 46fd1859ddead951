import Markdown from 'markdown-to-jsx/react';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { SECTIONS, sectionOf } from './guide';

const PICTURES = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  eager: true,
  query: '?url',
  import: 'default',
});

/** "?" at the top right, or as a key: the section of the guide for the place one is in, and the others. */
export function Guide() {
  const here = sectionOf(useLocation().pathname);
  const [heading, setHeading] = useState<string>();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isWriting(event.target)) {
        event.preventDefault();
        setHeading(here);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [here]);
  const section = SECTIONS.find((one) => one.heading === heading);
  return (
    <>
      <Button small aria-label="Guide to this place" aria-keyshortcuts="?" onClick={() => setHeading(here)}>
        ?
      </Button>
      <Sheet
        title={heading ?? 'Guide'}
        open={section !== undefined}
        onClose={() => setHeading(undefined)}
        wide
      >
        {section && (
          <Markdown key={heading} className="max-w-[72ch] space-y-2.5" options={{ overrides: OVERRIDES }}>
            {section.text}
          </Markdown>
        )}
        <h3 className="mt-6 mb-1 font-bold">More in this guide</h3>
        <ul className="columns-2">
          {SECTIONS.filter((one) => one.heading !== heading).map((one) => (
            <li key={one.heading}>
              <Button small look="quiet" onClick={() => setHeading(one.heading)}>
                {one.heading}
              </Button>
            </li>
          ))}
        </ul>
      </Sheet>
    </>
  );
}

function isWriting(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Pictures come with the application. */
function Picture({ src = '', alt = '' }: { src?: string; alt?: string }) {
  const file = PICTURES[`../../../docs/${src}`];
  return file ? <img src={file} alt={alt} className="mt-2 max-w-full rounded border border-line2" /> : null;
}

const OVERRIDES = {
  img: Picture,
  h3: { props: { className: 'pt-2 font-bold' } },
  ol: { props: { className: 'list-decimal space-y-1 pl-5' } },
  ul: { props: { className: 'list-disc space-y-1 pl-5' } },
  table: { props: { className: 'w-full text-left' } },
  th: { props: { className: 'border-b border-line2 py-1 pr-3 font-semibold' } },
  td: { props: { className: 'border-b border-line py-1 pr-3 align-top' } },
};
