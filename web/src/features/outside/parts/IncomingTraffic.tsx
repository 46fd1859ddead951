import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { useChangeTraffic, useTraffic } from '../queries';

const PACES = [
  { value: '30', text: 'every 30 to 60 seconds' },
  { value: '10', text: 'every 10 to 20 seconds' },
  { value: '3', text: 'every 3 to 6 seconds' },
];

/** Mail that comes in by itself: let it come, how quickly, or not. */
export function IncomingTraffic() {
  const traffic = useTraffic();
  const change = useChangeTraffic();
  if (!traffic.data) {
    return null;
  }
  const { paused, everySeconds } = traffic.data;
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <span>{paused ? 'no mail comes in by itself' : 'a message comes in'}</span>
      {!paused && (
        <Choice
          label="How often a message comes in"
          value={String(everySeconds)}
          options={PACES}
          onChoose={(value) => change.mutate({ paused, everySeconds: Number(value) })}
        />
      )}
      <Button
        small
        disabled={change.isPending}
        onClick={() => change.mutate({ paused: !paused, everySeconds })}
      >
        {paused ? 'Let mail come in' : 'Pause'}
      </Button>
      {change.isError && <span role="alert">{problemText(change.error)}</span>}
    </div>
  );
}
