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
  ],
  [
    { path: '/trials', name: 'Trials' },
    { path: '/records', name: 'Records' },
    { path: '/address-book', name: 'Address book' },
  ],
];

/** Only in the demo. */
export const OUTSIDE: Place = { path: '/outside', name: 'Outside' };
