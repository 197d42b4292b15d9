export const HEMISPHERES = ['north', 'south'] as const
export type Hemisphere = (typeof HEMISPHERES)[number]

/** Regions of the time zone database (IANA, from memory) that lie south of the equator as a whole. */
const SOUTHERN_REGIONS = /^(?:Australia|Antarctica)\//
/** Zones of other regions in which most people live well south of the equator, where seasons are felt. From memory. */
const SOUTHERN_ZONES = new Set([
  ...['Johannesburg', 'Maseru', 'Mbabane', 'Windhoek', 'Gaborone', 'Harare', 'Maputo', 'Lusaka'].map(
    (c) => `Africa/${c}`,
  ),
  ...[
    'Sao_Paulo',
    'Campo_Grande',
    'Cuiaba',
    'Bahia',
    'Montevideo',
    'Asuncion',
    'Santiago',
    'Punta_Arenas',
    'La_Paz',
    'Lima',
  ].map((c) => `America/${c}`),
  ...['Auckland', 'Chatham', 'Fiji', 'Noumea', 'Norfolk', 'Tongatapu', 'Apia', 'Rarotonga', 'Tahiti', 'Easter'].map(
    (c) => `Pacific/${c}`,
  ),
  ...['Mauritius', 'Reunion', 'Antananarivo'].map((c) => `Indian/${c}`),
  'Atlantic/Stanley',
])

/** The half of the earth that a time zone lies on, as a first guess; north where it is not known. */
export function hemisphereOf(timeZone: string): Hemisphere {
  const southern =
    SOUTHERN_REGIONS.test(timeZone) || SOUTHERN_ZONES.has(timeZone) || /^America\/Argentina\//.test(timeZone)
  return southern ? 'south' : 'north'
}
