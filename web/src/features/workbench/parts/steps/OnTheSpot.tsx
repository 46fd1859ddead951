import { useState } from 'react';
import { Sheet } from '../../../../ui/Sheet';
import { GroupForm, newGroup, newPerson, PersonForm } from '../../../addressbook';
import { TemplateForm } from '../../../templates';

interface Props {
  open: boolean;
  onClose: () => void;
  /** What the rule names it by. */
  onMade: (name: string) => void;
}

/** Made over the evidence, without leaving the rule. */
export function NewColleague({ open, onClose, onMade }: Props) {
  return (
    <Sheet title="A new colleague" open={open} onClose={onClose}>
      <Fresh make={newPerson}>
        {(person) => <PersonForm person={person} onSaved={(now) => onMade(now.written.addresses[0] ?? '')} />}
      </Fresh>
    </Sheet>
  );
}

export function NewGroup({ open, onClose, onMade }: Props) {
  return (
    <Sheet title="A new group" open={open} onClose={onClose}>
      <Fresh make={newGroup}>
        {(group) => <GroupForm group={group} onSaved={(now) => onMade(now.written.name)} />}
      </Fresh>
    </Sheet>
  );
}

/** A new template, or the one that is named. */
export function TemplateOnTheSpot({
  template,
  open,
  onClose,
  onMade,
}: Props & { template: string | undefined }) {
  return (
    <Sheet title={template ? 'The template' : 'A new template'} open={open} onClose={onClose} wide>
      <TemplateForm template={template} onSaved={(saved) => onMade(saved.id)} />
    </Sheet>
  );
}

/** One thing that stays the same while the sheet is open. */
function Fresh<T>({ make, children }: { make: () => T; children: (made: T) => React.ReactNode }) {
  const [made] = useState(make);
  return <>{children(made)}</>;
}
