import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Menu } from '../../../ui/Menu';
import { useHistory } from '../../rules';
import type { Change } from '../model';

/** So many are shown without being asked for. */
const FEW = 8;
const VERSIONS = 12;

interface Props {
  changes: Change[];
  chosen: string[];
  onChoose: (keys: string[]) => void;
  onVersion: (version: Schemas['VersionView']) => void;
}

/** Chooses what is tried: drafts, paused rules as if they were on, rules as if they were paused; or an earlier version. */
export function What({ changes, chosen, onChoose, onVersion }: Props) {
  const [all, setAll] = useState(false);
  const history = useHistory(true);
  const versions = (history.data?.versions ?? []).slice(1, VERSIONS + 1);
  const shown = all ? changes : changes.filter((change, i) => i < FEW || chosen.includes(change.key));
  return (
    <fieldset>
      <legend className="text-sm text-ink2">Try the rules of now with</legend>
      <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
        {shown.map((change) => (
          <label key={change.key} className="flex items-center gap-1.5 text-[13.5px]">
            <input
              type="checkbox"
              className="accent-moss"
              checked={chosen.includes(change.key)}
              onChange={(e) =>
                onChoose(
                  e.target.checked ? [...chosen, change.key] : chosen.filter((key) => key !== change.key),
                )
              }
            />
            {change.words}
          </label>
        ))}
        {changes.length > shown.length && (
          <Button small look="quiet" onClick={() => setAll(true)}>
            {counted(changes.length - shown.length, 'more rule')}
          </Button>
        )}
        {versions.length > 0 && (
          <Menu
            trigger={
              <Button small look="quiet">
                or an earlier version …
              </Button>
            }
            items={versions.map((one) => ({
              text: `version ${one.version}, ${dayAndTime(one.savedAt)}, ${one.savedBy}`,
              onSelect: () => onVersion(one),
            }))}
          />
        )}
      </div>
    </fieldset>
  );
}
