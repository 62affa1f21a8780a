import type { HandOver, Project } from '@mivet/core';
import { addDays, formatISO, parseISO } from 'date-fns';

type Due = Omit<HandOver, 'day'> & { readonly days: number };

/** The club's season: what is handed over how many days from now, and to whom. */
const SEASON: { readonly [id: string]: Due } = {
  'demo-landing': { days: 2, time: '17:00', whatFor: 'gift', number: '', note: 'For the landing stage, before the frost.', price: null }, // prettier-ignore
  'demo-bow': { days: 4, time: '18:00', whatFor: 'market', number: '', note: '', price: 9 },
  'demo-tumbler': { days: 5, time: '18:30', whatFor: 'gift', number: '', note: 'Stroke’s last race is on Saturday.', price: null }, // prettier-ignore
  'demo-turn': { days: 6, time: '10:00', whatFor: 'own use', number: '', note: 'Blown up on the morning, not before.', price: null }, // prettier-ignore
  'demo-crest-flask': {
    days: 8,
    time: '19:00',
    whatFor: 'order',
    number: 'L-31',
    note: 'Crest as on the blades.',
    price: 34,
  },
  'demo-mug': { days: 10, time: '12:00', whatFor: 'order', number: 'L-32', note: 'One for each seat; left-handers as listed.', price: 96 }, // prettier-ignore
  'demo-heron': { days: 12, time: '16:00', whatFor: 'gift', number: '', note: '', price: null },
  'demo-flags': { days: 15, time: '09:00', whatFor: 'market', number: '', note: '', price: 12 },
};

/** The demo's projects with the dates of the season on them. */
export const withSeason = (projects: readonly Project[], now: string): Project[] =>
  projects.map((project) => {
    const due = SEASON[project.id];
    if (!due) return project;
    const { days, ...rest } = due;
    return {
      ...project,
      handOver: { ...rest, day: formatISO(addDays(parseISO(now), days), { representation: 'date' }) },
    };
  });
