import { Button } from '../../../../ui/Button';
import { Glyph } from '../../../../ui/glyphs';
import { Menu } from '../../../../ui/Menu';
import { happeningOf } from '../../../rules';
import type { Step } from '../../model';

interface Action {
  text: string;
  /** Of those that a rule most often begins with. */
  usual?: string;
  step: Step;
}

const ACTIONS: { group: string; actions: Action[] }[] = [
  {
    group: 'hand on',
    actions: [
      {
        text: 'forward it: a new message from you',
        usual: 'forward',
        step: { do: 'forward', to: [] },
      },
      {
        text: 'redirect it: the same message, untouched',
        usual: 'redirect',
        step: { do: 'redirect', to: [] },
      },
    ],
  },
  {
    group: 'answer',
    actions: [
      {
        text: 'reply to its sender',
        usual: 'reply',
        step: {
          do: 'reply',
          subject: '',
          text: '',
          oncePerDays: 7,
          keepsUnanswered: true,
          release: 'first on approval',
        },
      },
    ],
  },
  {
    group: 'move',
    actions: [
      { text: 'file it in a folder', usual: 'file', step: { do: 'file', folder: '' } },
      { text: 'move it to the archive folder', usual: 'archive', step: { do: 'archive' } },
      { text: 'copy it to a folder', step: { do: 'copy', folder: '' } },
      { text: 'move it out of junk', step: { do: 'out of junk' } },
      { text: 'keep it in the inbox, whatever else happens', step: { do: 'keep' } },
    ],
  },
  { group: 'mark', actions: [{ text: 'mark it', usual: 'mark', step: { do: 'mark', flags: [] } }] },
  {
    group: 'notify',
    actions: [
      { text: 'notify me', step: { do: 'notify', sound: 'drop' } },
      { text: 'remind me', step: { do: 'remind', days: 3 } },
      { text: 'bring it back if nobody deals with it', step: { do: 'follow up', workingDays: 3 } },
    ],
  },
  {
    group: 'remove',
    actions: [
      { text: 'move it to the trash', step: { do: 'trash' } },
      { text: 'delete it for good …', step: { do: 'delete' } },
    ],
  },
];

const USUAL = ACTIONS.flatMap(({ actions }) => actions).filter(({ usual }) => usual !== undefined);

interface Props {
  isFirst: boolean;
  onAdd: (step: Step) => void;
}

/** What a rule can do: the usual actions as buttons while it does nothing yet, and all of them by what they are for. */
export function AddAction({ isFirst, onAdd }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      {isFirst &&
        USUAL.map(({ usual, text, step }) => (
          <Button key={text} small title={text} onClick={() => onAdd(step)}>
            <Glyph of={happeningOf(step)} /> {usual}
          </Button>
        ))}
      <Menu
        trigger={
          <Button small look="quiet">
            + another action
          </Button>
        }
        groups={ACTIONS.map(({ group, actions }) => ({
          name: group,
          items: actions.map(({ text, step }) => ({
            text,
            picture: <Glyph of={happeningOf(step)} />,
            onSelect: () => onAdd(step),
          })),
        }))}
      />
    </div>
  );
}
