/** The places of the top bar, each with its key. */
export const PLACES = [
  { href: '/', name: 'Today', key: 't' },
  { href: '/haul', name: 'Haul', key: 'h' },
  { href: '/stock', name: 'Stock', key: 's' },
  { href: '/meals', name: 'Meals', key: 'm' },
  { href: '/rounds', name: 'Rounds', key: 'r' },
  { href: '/outage', name: 'Outage', key: 'o' },
  { href: '/ledger', name: 'Ledger', key: 'l' },
  { href: '/kitchen', name: 'Kitchen', key: 'k' },
] as const;
