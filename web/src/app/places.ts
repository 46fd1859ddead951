export interface Place {
  path: string;
  name: string;
}

export const PLACES: Place[][] = [
  [
    { path: '/desk', name: 'Desk' },
    { path: '/incoming', name: 'Incoming' },
    { path: '/rules', name: 'Rules' },
    { path: '/templates', name: 'Templates' },
    { path: '/timetable', name: 'Timetable' },
  ],
  [
    { path: '/trials', name: 'Trials' },
    { path: '/records', name: 'Records' },
    { path: '/address-book', name: 'Address book' },
    { path: '/setup', name: 'Setup' },
  ],
];

/** Only in the demo. */
export const OUTSIDE: Place = { path: '/outside', name: 'Outside' };
