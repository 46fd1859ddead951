import type { Evidence } from '../../queries';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];

/** What the choice between all and any means, on two real messages. */
export function AllOrAny({ how, found }: { how: 'all' | 'any'; found: Evidence['allOrAny'] }) {
  if (!found?.one) {
    return null;
  }
  const only = ORDINALS[found.criterion] ?? `${found.criterion + 1}th`;
  return (
    <span className="mt-0.5 block text-[12.5px] text-ink2">
      {found.all && (
        <>
          <bdi className="font-semibold">{found.all.subject || '(no subject)'}</bdi> meets all;{' '}
        </>
      )}
      <bdi className="font-semibold">{found.one.subject || '(no subject)'}</bdi> only the {only}, so it is{' '}
      {how === 'all' ? 'not picked' : 'picked too'}
    </span>
  );
}
