import { secondsOfDuration } from '../../base';
import { Missing, standing } from './entry';
import { addDays, dayOf } from './instant';

/** Functions of dates and times, which are ISO 8601 texts; days are those that stand in the text. */
export const dateFunctions = [
  standing({
    name: 'daysBetween',
    params: [
      { name: 'from', takes: 'date' },
      { name: 'to', takes: 'date' },
    ],
    gives: { type: 'integer' },
    mayMiss: true,
    summary: 'How many days it is from one date to another; below zero if that is earlier.',
    example: ['daysBetween("2026-03-02", "2026-03-09")', '7'],
    run(from, to) {
      const [first, second] = [dayOf(from), dayOf(to)];
      return first === undefined || second === undefined ? noDate() : second - first;
    },
  }),
  standing({
    name: 'addDays',
    params: [
      { name: 'date', takes: 'date' },
      { name: 'days', takes: 'number' },
    ],
    gives: ({ of }) => (of.type === 'datetime' ? of : { type: 'date' }),
    mayMiss: true,
    summary: 'The date so many days later, or earlier.',
    example: ['addDays("2026-02-27", 3)', '2026-03-02'],
    run: (date, days) => addDays(date, days) ?? noDate(),
  }),
  standing({
    name: 'secondsOf',
    params: [{ name: 'duration', takes: 'duration' }],
    gives: { type: 'number' },
    mayMiss: true,
    summary: 'How many seconds a duration takes: to compare it, to add it up.',
    example: ['secondsOf("PT1H30M")', '5400'],
    run(duration) {
      const seconds = secondsOfDuration(duration);
      return Number.isNaN(seconds) ? new Missing('that is no duration of ISO 8601') : seconds;
    },
  }),
];

const noDate = (): Missing => new Missing('that is no date of the years 0 to 9999');
