/**
 * Time zones of northern countries, by the made-up climate most gardens in them are nearest to: common knowledge,
 * rough, and offered as a guess. Zones that span several climates, and those south of the tropics, are left out.
 */
const ZONES: readonly (readonly [climateId: string, zones: readonly string[]])[] = [
  [
    'cool-coast',
    [
      ...['Europe/London', 'Europe/Dublin', 'Europe/Amsterdam', 'Europe/Brussels', 'Europe/Paris'],
      ...['Europe/Copenhagen', 'Europe/Oslo', 'Europe/Jersey', 'Europe/Guernsey', 'Europe/Isle_of_Man'],
      ...['Atlantic/Faroe', 'Atlantic/Reykjavik', 'America/Vancouver'],
    ],
  ],
  [
    'inland',
    [
      ...['Europe/Berlin', 'Europe/Vienna', 'Europe/Zurich', 'Europe/Prague', 'Europe/Warsaw'],
      ...['Europe/Budapest', 'Europe/Bratislava', 'Europe/Bucharest', 'Europe/Kyiv', 'Europe/Stockholm'],
      ...['Europe/Helsinki', 'Europe/Riga', 'Europe/Vilnius', 'Europe/Tallinn', 'America/Toronto'],
      ...['America/Detroit', 'America/Chicago', 'America/Winnipeg', 'America/Edmonton', 'America/Halifax'],
    ],
  ],
  [
    'dry-summer',
    [
      ...['Europe/Madrid', 'Europe/Lisbon', 'Europe/Rome', 'Europe/Athens', 'Europe/Malta'],
      ...['Asia/Nicosia', 'Asia/Jerusalem', 'Asia/Beirut', 'Africa/Tunis', 'Africa/Algiers'],
      ...['Africa/Casablanca', 'America/Los_Angeles'],
    ],
  ],
  ['humid-heat', ['Asia/Tokyo', 'Asia/Seoul', 'Asia/Shanghai', 'Asia/Taipei', 'Asia/Hong_Kong']],
  ['high-dry', ['America/Denver', 'America/Boise', 'America/Phoenix', 'Asia/Tehran']],
  [
    'warm-wet',
    [
      ...['Asia/Singapore', 'Asia/Manila', 'Asia/Bangkok', 'Asia/Colombo', 'Asia/Kuala_Lumpur'],
      ...['Africa/Lagos', 'Africa/Accra', 'Africa/Kampala', 'America/Panama', 'America/Bogota'],
    ],
  ],
]

/** The climate a time zone is probably nearest to; null where nobody can say. */
export const climateOfZone = (zone: string): string | null =>
  ZONES.find(([, zones]) => zones.includes(zone))?.[0] ?? null
