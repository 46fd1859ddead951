import { Popover } from 'radix-ui';
import { useState } from 'react';
import { NavLink } from 'react-router';
import { Button } from '../ui/Button';
import { OUTSIDE, PLACES } from './places';

/** The places, words only. */
export function Places({ demo }: { demo: boolean }) {
  return (
    <nav data-region aria-label="Places" className="hidden w-[150px] shrink-0 py-3.5 min-[600px]:block">
      <Groups demo={demo} />
    </nav>
  );
}

/** The same behind one button, where the whole width belongs to a rule. */
export function PlacesButton({ demo }: { demo: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button small className="hidden min-[600px]:inline-flex">
          Places
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="z-50 w-[170px] rounded-md border border-line2 bg-ground py-2 shadow-lg"
        >
          <nav aria-label="Places">
            <Groups demo={demo} onGo={() => setOpen(false)} />
          </nav>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Groups({ demo, onGo }: { demo: boolean; onGo?: () => void }) {
  const groups = demo ? [...PLACES, [OUTSIDE]] : PLACES;
  return groups.map((group, i) => (
    <div
      key={group[0]?.path}
      className={
        i === 0 ? '' : 'mt-2 pt-2 before:mx-4 before:mb-2 before:block before:border-t before:border-line'
      }
    >
      {group.map((place) => (
        <NavLink
          key={place.path}
          to={place.path}
          onClick={onGo}
          className={({ isActive }) =>
            `block border-l-[3px] px-4 py-1.5 ${
              isActive ? 'border-moss bg-sheet font-semibold text-moss' : 'border-transparent'
            }`
          }
        >
          {place.name}
        </NavLink>
      ))}
    </div>
  ));
}

/** The same on narrow screens, below everything else. */
export function PlacesBelow({ demo }: { demo: boolean }) {
  const all = demo ? [...PLACES.flat(), OUTSIDE] : PLACES.flat();
  return (
    <nav
      aria-label="Places"
      className="flex overflow-x-auto border-t border-line bg-sheet min-[600px]:hidden"
    >
      {all.map((place) => (
        <NavLink
          key={place.path}
          to={place.path}
          className={({ isActive }) =>
            `grow px-2 py-2.5 text-center whitespace-nowrap ${isActive ? 'font-semibold text-moss' : ''}`
          }
        >
          {place.name}
        </NavLink>
      ))}
    </nav>
  );
}
