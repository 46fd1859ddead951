import type { ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { emptyTest, item, type Criterion, type Item, type Combined } from '../model';
import { RemoveButton } from './RemoveButton';

const TAKEN: { value: Combined; text: string }[] = [
  { value: 'all', text: 'all of these' },
  { value: 'any', text: 'any of these' },
  { value: 'none', text: 'none of these' },
];

interface Props {
  group: NonNullable<Item['group']>;
  onChange: (group: NonNullable<Item['group']>) => void;
  onRemove: () => void;
  children: ReactNode;
}

/** Criteria that count as one. */
export function GroupCard({ group, onChange, onRemove, children }: Props) {
  return (
    <div
      role="group"
      aria-label="a group of criteria"
      className="relative mb-2 rounded-md border border-line2 bg-ground px-2 pt-2 pb-1"
    >
      <div className="mb-1.5 text-sm text-ink2">
        as one criterion: mail that meets{' '}
        <Choice
          label="how many of the group"
          value={group.combined}
          options={TAKEN}
          onChoose={(combined) => onChange({ ...group, combined })}
          className="!bg-sheet"
        />
      </div>
      <RemoveButton onRemove={onRemove} />
      <div className="[&>*]:bg-sheet">{children}</div>
      <Button
        small
        look="quiet"
        onClick={() => onChange({ ...group, items: [...group.items, item(emptyTest('words') as Criterion)] })}
      >
        Add a criterion to this group
      </Button>
    </div>
  );
}
