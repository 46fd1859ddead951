import type { Schemas } from '../../api/client';
import { count, counted } from '../../lib/numbers';

/** Who writes a kind of mail. */
export function whoInWords(who: Schemas['WhoView']): string {
  switch (who.kind) {
    case 'ANYBODY':
      return `${count(who.senders)} people`;
    case 'DOMAINS':
      return who.names.slice(0, 2).join(', ');
    default:
      return who.names[0] ?? '';
  }
}

export function whoMore(who: Schemas['WhoView']): string {
  switch (who.kind) {
    case 'LIST':
      return 'a mailing list';
    case 'ADDRESS':
      return who.names[1] ?? '';
    case 'DOMAINS':
      return who.names.length > 2
        ? `and ${counted(who.names.length - 2, 'other domain')}`
        : 'any sender there';
    case 'ANYBODY':
      return 'no address in common';
  }
}
