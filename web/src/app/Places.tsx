import { NavLink } from 'react-router';
import { OUTSIDE, PLACES } from './places';

/** The places, words only; folded to their first letters where the room is needed. */
export function Places({ demo, folded }: { demo: boolean; folded: boolean }) {
  const groups = demo ? [...PLACES, [OUTSIDE]] : PLACES;
  return (
    <nav
      data-region
      aria-label="Places"
      className={`hidden shrink-0 py-3.5 min-[600px]:block ${folded ? 'w-12' : 'w-[150px]'}`}
    >
      {groups.map((group, i) => (
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
              aria-label={place.name}
              title={folded ? place.name : undefined}
              className={({ isActive }) =>
                `block border-l-[3px] py-1.5 ${folded ? 'text-center text-sm font-semibold' : 'px-4'} ${
                  isActive ? 'border-moss bg-sheet font-semibold text-moss' : 'border-transparent'
                }`
              }
            >
              {folded ? place.name.slice(0, 2) : place.name}
            </NavLink>
          ))}
        </div>
      ))}
    </nav>
  );
}

/** The same on narrow screens, below everything else. */
export function PlacesBelow({ demo }: { demo: boolean }) {
  const all = demo ? [...PLACES.flat(), OUTSIDE] : PLACES.flat();
  return (
    <nav aria-label="Places" className="flex border-t border-line bg-sheet min-[600px]:hidden">
      {all.map((place) => (
        <NavLink
          key={place.path}
          to={place.path}
          className={({ isActive }) => `grow py-2.5 text-center ${isActive ? 'font-semibold text-moss' : ''}`}
        >
          {place.name}
        </NavLink>
      ))}
    </nav>
  );
}
