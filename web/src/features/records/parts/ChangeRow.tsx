import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';

/** Of more changes at once nobody reads all here. */
const MOST = 5;

/** Rules and templates have a version that was saved; all else is told by the change. */
function WhatWasChanged({ of }: { of: Schemas['SavedChange'] }) {
  switch (of.of) {
    case 'RULES':
    case 'TEMPLATE':
      return (
        <>
          <Link className="font-semibold hover:underline" to={of.of === 'RULES' ? '/rules' : '/templates'}>
            {of.of === 'RULES'
              ? `Rules, version ${of.version}`
              : `Template “${of.name}”, version ${of.version}`}
          </Link>{' '}
          <span className="text-sm text-ink2">saved by {of.who}</span>
        </>
      );
    case 'DESTINATION':
      return (
        <Link className="font-semibold hover:underline" to="/address-book">
          Destination
        </Link>
      );
    case 'SETTING':
      return (
        <>
          <span className="font-semibold">Setting</span>{' '}
          <span className="text-sm text-ink2">changed by {of.who}</span>
        </>
      );
  }
}

/** Who changed rules, a template or a setting, among what was done. */
export function ChangeRow({ of }: { of: Schemas['SavedChange'] }) {
  return (
    <tr className="border-t border-line bg-ground align-top max-columns:block max-columns:px-4">
      <td className="py-1.5 text-sm text-ink2 max-columns:block columns:pl-4">{dayAndTime(of.at)}</td>
      <td colSpan={4} className="py-1.5 pr-4 max-columns:block">
        <WhatWasChanged of={of} />
        {of.changes.slice(0, MOST).map((one) => (
          <span key={one.words} className="block text-sm text-ink2">
            {one.words}
          </span>
        ))}
        {of.changes.length > MOST && (
          <span className="block text-sm text-ink2">
            and {counted(of.changes.length - MOST, 'more change')}
          </span>
        )}
      </td>
    </tr>
  );
}
