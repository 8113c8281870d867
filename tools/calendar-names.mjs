// Draws the names of months and weekdays out of CLDR for the languages that calendars are printed in, as
// src/Lumbeck.Core/Trade/Calendars/Data/names.json.
// Run: npm pack cldr-dates-full, unpack it, then: node tools/calendar-names.mjs package > names.json
import { readFileSync } from 'node:fs';

const from = process.argv[2];
const languages = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'nb', 'fi', 'is', 'et', 'lv', 'lt', 'pl', 'cs',
  'sk', 'hu', 'ro', 'hr', 'el', 'tr', 'ru', 'uk', 'cy', 'ga', 'gd', 'ja', 'he', 'ar', 'fa'];
const days = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
const read = (code, name) => JSON.parse(readFileSync(`${from}/main/${code}/${name}.json`, 'utf8')).main[code].dates;

const all = {};
for (const code of languages) {
  const { months, days: d, dateTimeFormats: { availableFormats: f } } =
    read(code, 'ca-gregorian').calendars.gregorian;
  const { fields } = read(code, 'dateFields');
  const list = names => Array.from({ length: 12 }, (_, n) => names[n + 1]);
  all[code] = {
    months: list(months['stand-alone'].wide),
    ofMonths: list(months.format.wide),
    shortMonths: list(months['stand-alone'].abbreviated),
    days: days.map(n => d['stand-alone'].wide[n]),
    shortDays: days.map(n => d['stand-alone'].abbreviated[n]),
    narrowDays: days.map(n => d['stand-alone'].narrow[n]),
    monthYear: f.yMMMM,
    dayMonth: f.MMMMd,
    day: fields.day.displayName,
    week: fields.week.displayName,
    month: fields.month.displayName,
    year: fields.year.displayName,
  };
}
process.stdout.write('{\n' + Object.entries(all).map(([code, names]) => `  ${JSON.stringify(code)}: {\n` +
  Object.entries(names).map(([key, value]) => `    ${JSON.stringify(key)}: ${JSON.stringify(value)}`).join(',\n') +
  '\n  }').join(',\n') + '\n}\n');
