import { useState } from 'react';
import { Loading } from '../../../ui/States';
import { newTemplate, type InHand } from '../model';
import { useTemplates } from '../queries';
import { Editor } from './Editor';

/** A template made from within another place. */
export function NewTemplateForm({ onSaved }: { onSaved: (template: InHand) => void }) {
  const [begin] = useState(newTemplate);
  const found = useTemplates();
  if (!found.data) {
    return <Loading what="Fetching the fields" />;
  }
  return (
    <div className="flex h-full min-h-0">
      <Editor
        begin={begin}
        saved={undefined}
        fields={found.data.fields}
        onSaved={onSaved}
        onRemoved={() => undefined}
      />
    </div>
  );
}
