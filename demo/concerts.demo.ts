/** Concerts to come, by the days until then. */
export const DEMO_CONCERTS = [
  {
    playerId: 'marit',
    name: 'First night',
    daysAhead: 9,
    minutes: 90,
    instrumentIds: ['marit-clarinet', 'marit-alto'],
  },
  { playerId: 'marit', name: 'Winter gala', daysAhead: 23, minutes: 80, instrumentIds: ['marit-clarinet'] },
  { playerId: 'teodor', name: 'Chapel concert', daysAhead: 16, minutes: 70, instrumentIds: ['teodor-oboe'] },
] as const;
