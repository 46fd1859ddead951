import { useExamples, type Verdict } from '../examples';

const SIGNS: { verdict: Verdict; text: string; said: string }[] = [
  { verdict: 'example', text: 'example', said: 'bg-moss-soft text-ink font-semibold' },
  {
    verdict: 'counter-example',
    text: 'counter-example',
    said: 'bg-ground text-ink font-semibold line-through',
  },
];

/** Marks a message as an example or a counter-example of what a rule is to pick. */
export function Verdicts({ id, subject }: { id: number; subject: string }) {
  const { examples, turn } = useExamples();
  return (
    <span className="flex gap-1">
      {SIGNS.map(({ verdict, text, said }) => {
        const is = (verdict === 'example' ? examples.wanted : examples.unwanted).includes(id);
        return (
          <button
            key={verdict}
            type="button"
            aria-pressed={is}
            aria-label={`“${subject}” ${verdict}`}
            className={`whitespace-nowrap rounded px-1.5 text-[12.5px] ${is ? said : 'text-ink2 hover:bg-ground'}`}
            onClick={() => turn(id, verdict)}
          >
            {text}
          </button>
        );
      })}
    </span>
  );
}
