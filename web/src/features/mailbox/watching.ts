import type { Schemas } from '../../api/client';
import { dayAndTime, timeOfDay } from '../../lib/dates';
import { count } from '../../lib/numbers';

/** The cause as a sentence, and what to do. */
function troubleInWords({ cause, advice }: Schemas['TroubleView']): string {
  const sentence = `${cause.words.charAt(0).toUpperCase()}${cause.words.slice(1)}.`;
  return advice ? `${sentence} ${advice.words}` : sentence;
}

interface State {
  text: string;
  trouble: boolean;
}

/** The watcher's state in plain words, with the last good time when something is wrong. */
export function watchingInWords(mailbox: Schemas['MailboxView']): State {
  if (mailbox.warning) {
    return { text: troubleInWords(mailbox.warning), trouble: true };
  }
  if (mailbox.watching === 'STARTING') {
    return { text: 'connecting …', trouble: false };
  }
  if (mailbox.watching !== 'WATCHING') {
    const last = mailbox.lastContact ? ` Last heard from it ${dayAndTime(mailbox.lastContact)}.` : '';
    return {
      text: `${mailbox.trouble ? troubleInWords(mailbox.trouble) : 'This mailbox is not watched.'}${last}`,
      trouble: true,
    };
  }
  const reading = mailbox.firstReading;
  if (reading && !reading.finished) {
    const paused = reading.paused ? ', paused' : '';
    return {
      text: `reading past mail: ${count(reading.done)} of ${count(reading.total)}${paused}`,
      trouble: false,
    };
  }
  const last = mailbox.lastMessageAt ? ` · last message ${timeOfDay(mailbox.lastMessageAt)}` : '';
  return { text: `watching${last}`, trouble: false };
}
