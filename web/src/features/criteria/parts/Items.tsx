import type { Schemas } from '../../../api/client';
import { useFocusOnAdded } from '../../../ui/focus';
import { meant, type Item } from '../model';
import { CriterionCard } from './CriterionCard';
import { GroupCard } from './GroupCard';

interface Props {
  items: Item[];
  figures: Schemas['CriterionFigures'][];
  faults: { path: string; message: string }[];
  /** Where the criteria stand in the rule's document. */
  at: string;
  /** And where they stand among the figures. */
  path?: number[];
  /** What the effect is called: "removes" in an all-of group, "adds" in an any-of group, "excludes" among exceptions. */
  effect: string;
  onChange: (items: Item[]) => void;
}

/** Criteria one below the other; those that mean nothing yet are not in the rule and have no figures. */
export function Items({ items, figures, faults, at, path = [], effect, onChange }: Props) {
  const list = useFocusOnAdded<HTMLDivElement>(items.length);
  const sent = items.filter((one) => meant(one) !== undefined);
  const shown = items.map((one, i) => {
    const index = sent.indexOf(one);
    const here = [...path, index];
    const change = (changed: Item) => onChange(items.map((other, n) => (n === i ? changed : other)));
    const remove = () => onChange(items.filter((_, n) => n !== i));
    const fault = index < 0 ? undefined : faults.find((f) => f.path.startsWith(`${at}/${index}`))?.message;
    return one.group ? (
      <GroupCard
        key={one.key}
        group={one.group}
        onChange={(group) => change({ ...one, group })}
        onRemove={remove}
      >
        <Items
          items={one.group.items}
          figures={figures}
          faults={faults}
          at={`${at}/${index}/${one.group.combined}`}
          path={here}
          effect={one.group.combined === 'all' ? 'removes' : 'adds'}
          onChange={(inside) =>
            inside.length === 0
              ? remove()
              : change({ ...one, group: { combined: one.group?.combined ?? 'any', items: inside } })
          }
        />
      </GroupCard>
    ) : (
      <CriterionCard
        key={one.key}
        item={one}
        effect={effect}
        figures={index < 0 ? undefined : figures.find((f) => f.path.join() === here.join())}
        fault={fault}
        onChange={change}
        onRemove={remove}
      />
    );
  });
  return <div ref={list}>{shown}</div>;
}
