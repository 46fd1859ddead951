import { useId } from 'react';
import { Choice } from '../../../ui/Choice';
import { useAddressBook } from '../../addressbook';
import { useMailbox } from '../../mailbox';
import { useRuleBook } from '../../rules';
import { NOBODY, type Form, type TakingOver } from '../model';

interface Props {
  form: Form;
  /** What has changed meanwhile stays. */
  onChange: (changed: (now: Form) => Form) => void;
}

const SHARES: { value: TakingOver['share']; text: string; short?: string }[] = [
  { value: 'NOTHING', text: 'nothing: the answer only names them', short: 'nothing' },
  { value: 'OF_RULES', text: 'what some rules pick' },
  { value: 'ALL', text: 'all mail' },
];

/** Who stands in, what they get, and when they are told. */
export function TakingOverFields({ form, onChange }: Props) {
  const people = useAddressBook().data?.people ?? [];
  const own = useMailbox().data?.address ?? '';
  const rules = useRuleBook().data?.document.rules ?? [];
  const list = useId();
  const over = form.takingOver;
  const change = (part: Partial<TakingOver>) =>
    onChange((now) => ({ ...now, takingOver: { ...(now.takingOver ?? NOBODY), ...part } }));
  const domain = own.slice(own.indexOf('@'));
  const inside = people.flatMap(({ written: { name, addresses } }) =>
    addresses.filter((one) => one.endsWith(domain) && one !== own).map((address) => ({ name, address })),
  );
  const choose = (typed: string) => {
    const address = typed.trim();
    const known = inside.find((one) => one.address === address);
    onChange(({ takingOver = NOBODY, ...without }) => {
      const { name: before, ...rest } = takingOver;
      const name = known?.name ?? (address === takingOver.address ? before : undefined);
      return address === ''
        ? without
        : { ...without, takingOver: { ...rest, address, ...(name && { name }) } };
    });
  };
  return (
    <fieldset className="grid grid-cols-[92px_minmax(0,1fr)] items-start gap-x-3 gap-y-1.5">
      <legend className="sr-only">Who stands in</legend>
      <label htmlFor={`${list}-who`} className="pt-1 text-ink2">
        stands in
      </label>
      <span className="flex flex-wrap items-center gap-2">
        <input
          id={`${list}-who`}
          list={list}
          placeholder="nobody, or a colleague’s address"
          className="h-8 w-72 max-w-full rounded border border-line2 bg-sheet px-2"
          value={over?.address ?? ''}
          onChange={(e) => choose(e.target.value)}
        />
        <datalist id={list}>
          {inside.map(({ name, address }) => (
            <option key={address} value={address}>
              {name}
            </option>
          ))}
        </datalist>
      </span>
      {over && (
        <>
          <span className="text-ink2">gets</span>
          <span className="flex flex-wrap items-center gap-1.5">
            <Choice
              label="what is handed over"
              value={over.share}
              options={SHARES}
              onChoose={(share) => change({ share })}
            />
            {over.share !== 'NOTHING' && (
              <Choice
                label="how it is handed over"
                value={over.redirected ? 'redirected' : 'forwarded'}
                options={[
                  { value: 'forwarded', text: 'forwarded, answers come to me', short: 'forwarded' },
                  { value: 'redirected', text: 'redirected, unchanged', short: 'redirected' },
                ]}
                onChoose={(how) => change({ redirected: how === 'redirected' })}
              />
            )}
          </span>
          {over.share === 'OF_RULES' && (
            <>
              <span className="text-ink2">of rules</span>
              <span className="flex max-h-32 flex-wrap gap-x-3 overflow-auto">
                {rules.map(({ id, name }) => (
                  <label key={id} className="flex items-center gap-1.5">
                    <input
                      type="checkbox"
                      checked={over.rules.includes(id)}
                      onChange={(e) =>
                        change({
                          rules: e.target.checked
                            ? [...over.rules, id]
                            : over.rules.filter((one) => one !== id),
                        })
                      }
                    />
                    {name}
                  </label>
                ))}
              </span>
            </>
          )}
          <label htmlFor={`${list}-days`} className="pt-1 text-ink2">
            is told
          </label>
          <span className="flex items-center gap-2">
            <input
              id={`${list}-days`}
              type="number"
              min={0}
              max={60}
              className="h-8 w-16 rounded border border-line2 bg-sheet px-2"
              value={over.daysBefore}
              onChange={(e) => change({ daysBefore: Math.min(60, Math.max(0, Number(e.target.value) || 0)) })}
            />
            days before, and asked for a yes
          </span>
        </>
      )}
    </fieldset>
  );
}
