import guide from '../../../docs/guide.md?raw';

export interface Section {
  heading: string;
  text: string;
}

/** The guide of the documents, by its sections. */
export const SECTIONS: Section[] = guide
  .split(/^## /m)
  .slice(1)
  .map((section) => {
    const end = section.indexOf('\n');
    return { heading: section.slice(0, end).trim(), text: section.slice(end).trim() };
  });

/** The section for each place, by how its path begins; the first that fits. */
const OF_PLACES: [string, string][] = [
  ['/rules/', 'Work on a rule'],
  ['/records/catch-ups', 'Put old mail in order, and take things back'],
  ['/rules', 'Put rules in order'],
  ['/timetable', 'Let rules rest'],
  ['/setup', 'Let rules rest'],
  ['/incoming', 'Make your first rule in five minutes'],
  ['/trials', 'Try rules before and after every change'],
  ['/templates', 'Answer with a template'],
  ['/address-book', 'Hand mail on safely'],
  ['/outside', 'Try it in the demo'],
  ['/', 'Find out what happened and why'],
];

export function sectionOf(path: string): string {
  return OF_PLACES.find(([place]) => path.startsWith(place))?.[1] ?? '';
}
