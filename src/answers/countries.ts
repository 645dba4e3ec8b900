const NAMES = new Intl.DisplayNames('en', { type: 'region', fallback: 'code' });

/** "Germany" of "DE", as the platform names it. */
export const countryNamed = (code: string): string => NAMES.of(code) ?? code;
