/** Days and times in words: English is the one language; the order of day and month, and the clock, are the locale’s. */
export const dateFormat = (locale: string, how: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat(locale.startsWith('en') ? locale : 'en-GB', how)
