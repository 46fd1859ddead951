import { useMemo, useState } from 'react';
import { Outlet, useLocation, useMatch } from 'react-router';
import { Done, type DoneLine } from '../features/mailbox';
import { Boundary } from '../ui/Boundary';
import { useFocusOnPlace } from '../ui/focus';
import { useRegions } from '../ui/regions';
import { Places, PlacesBelow } from './Places';
import { TopStrip } from './TopStrip';

/** The frame: the strip on top, the places on the left, the current place. */
export function Shell({ name, demo, hue }: { name: string; demo: boolean; hue: number }) {
  const [line, setLine] = useState<DoneLine>();
  const { pathname } = useLocation();
  const rule = useMatch('/rules/:rule')?.params.rule;
  const done = useMemo(() => ({ line, tell: setLine }), [line]);
  const place = rule === undefined ? (pathname.split('/')[1] ?? '') : 'workbench';
  const content = useFocusOnPlace(place);
  useRegions();
  return (
    <Done value={done}>
      <div data-hue={hue} className="flex h-full flex-col">
        <TopStrip name={name} demo={demo} rule={rule} />
        <div className="flex min-h-0 grow">
          {rule === undefined && <Places demo={demo} />}
          <main ref={content} tabIndex={-1} className="min-h-0 min-w-0 grow outline-none">
            <Boundary key={place}>
              <Outlet />
            </Boundary>
          </main>
        </div>
        <PlacesBelow demo={demo} />
      </div>
    </Done>
  );
}
