import { useBasket, type Verdict } from '../basket';

const SIGNS: { verdict: Verdict; text: string; said: string }[] = [
  { verdict: 'belongs', text: 'belongs', said: 'bg-moss-soft text-ink font-semibold' },
  { verdict: 'does not belong', text: 'doesn’t', said: 'bg-ground text-ink font-semibold line-through' },
];

/** Whether a message belongs to what one is looking for; what is said fills the basket. */
export function Verdicts({ id, subject }: { id: number; subject: string }) {
  const { basket, turn } = useBasket();
  return (
    <span className="flex gap-1">
      {SIGNS.map(({ verdict, text, said }) => {
        const is = (verdict === 'belongs' ? basket.wanted : basket.unwanted).includes(id);
        return (
          <button
            key={verdict}
            type="button"
            aria-pressed={is}
            aria-label={`“${subject}” ${verdict}`}
            className={`rounded px-1.5 text-[12.5px] ${is ? said : 'text-ink2 hover:bg-ground'}`}
            onClick={() => turn(id, verdict)}
          >
            {text}
          </button>
        );
      })}
    </span>
  );
}
