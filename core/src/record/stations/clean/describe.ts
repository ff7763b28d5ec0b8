import { DEED_NAMES, FEEL_NAMES, SLIP_NAMES } from '../../../work/cleaning';
import { AGENT_NAMES, DIRT_NAMES } from '../../../work/compatibility';
import type { Descriptions, EventPlace } from '../module';
import type { cleanEvents } from './schema';

const place = (): EventPlace => ({ station: 'clean' });
const ofDrive = (driveId: string): EventPlace => ({ station: 'clean', driveId });

export const cleanDescriptions: Descriptions<typeof cleanEvents> = {
  placePut: {
    says: ({ place: one }) => {
      const last = one.seen[one.seen.length - 1];
      return `${one.number} ${one.name}${last ? `, ${DIRT_NAMES[last.dirt]}` : one.left === '' ? ' on the map' : `, left: ${one.left}`}`;
    },
    place,
  },
  placeRemoved: { says: () => 'a place off the map', place },
  treated: {
    says: ({ treatment: { deed, agent, swabs, line } }) => {
      const last = swabs[swabs.length - 1];
      if (last) return `a ${last} swab${agent ? `, ${AGENT_NAMES[agent]}` : ''}`;
      return [DEED_NAMES[deed] || line, agent ? AGENT_NAMES[agent] : ''].filter((part) => part !== '').join(', ');
    },
    place,
  },
  treatmentRemoved: { says: () => 'a treatment removed', place },
  slipTested: {
    says: ({ test: { stage, slip } }) => `belt held back, ${stage}: ${SLIP_NAMES[slip]}`,
    place: ({ test }) => ofDrive(test.driveId),
  },
  feelTested: {
    says: ({ test: { stage, feel } }) => `by hand, ${stage}: ${FEEL_NAMES[feel]}`,
    place: ({ test }) => ofDrive(test.driveId),
  },
  shrinkPut: {
    says: ({ shrink: { afterMm } }) => (afterMm === null ? 'belt warmed to shrink' : 'belt measured after warming'),
    place: ({ shrink }) => ofDrive(shrink.driveId),
  },
  crumbsPut: { says: () => 'what was found of the belt', place: ({ crumbs }) => ofDrive(crumbs.driveId) },
  jamPut: {
    says: ({ jam }) => {
      const last = jam?.tried[jam.tried.length - 1];
      return !jam
        ? 'nothing is in the way'
        : jam.out
          ? 'what was in the way is out'
          : last
            ? `the way out, ${last.rung}`
            : 'something in the way';
    },
    place,
  },
};
