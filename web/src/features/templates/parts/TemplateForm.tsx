import { useState } from 'react';
import { Loading } from '../../../ui/States';
import { edited, newTemplate, type EditedTemplate } from '../model';
import { useTemplates } from '../queries';
import { Editor } from './Editor';

interface Props {
  /** Nothing for a new one. */
  template?: string | undefined;
  onSaved: (template: EditedTemplate) => void;
}

/** A template made or changed from within another place. */
export function TemplateForm({ template, onSaved }: Props) {
  const [fresh] = useState(newTemplate);
  const found = useTemplates();
  if (!found.data) {
    return <Loading what="Loading the template" />;
  }
  const saved = found.data.templates.find((one) => one.id === template);
  const begin = saved ? edited(saved) : fresh;
  return (
    <div className="flex h-full min-h-0">
      <Editor
        key={`${begin.id} ${begin.baseVersion}`}
        begin={begin}
        saved={saved}
        fields={found.data.fields}
        onSaved={onSaved}
        onRemoved={() => undefined}
      />
    </div>
  );
}
