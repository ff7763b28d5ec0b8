import { DRIVEN, loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { CATALOGUE } from '@loose-pulley/core/belts/catalogue';
import { capital } from '@loose-pulley/core/base/units';
import { findMethod } from '@loose-pulley/core/belts/measuring';
import { readingName } from '@loose-pulley/core/record/stations';
import { causeName, testName, type Knowledge } from '@loose-pulley/core/work/diagnosis';
import type { Cleaned, Hand } from '../hidden';

const CLEANING: Readonly<Record<Cleaned, string>> = {
  pulleys: 'Clean pulleys, wash belt',
  guides: 'Grease the guides anew',
  switch: 'Clean the switch',
  rollers: 'Clean the rollers',
  lens: 'Wipe the lens',
};
/** What a test that has no name of the app's own is called: nothing is said of it but its name. */
const named = (found: string | undefined, what: string): string => found ?? what;

/**
 * What a hand is called, on its button and in lists.
 *
 * For instance handName(KNOWLEDGE, 'tray', { do: 'open', what: 'lidOff' }): Take the lid off
 */
export function handName(knowledge: Knowledge, loader: Loader, { do: doing, what }: Hand): string {
  const { actions, driven } = loaderOf(loader);
  const moved = DRIVEN[driven].word;
  switch (doing) {
    case 'eject':
      return actions.includes('spinUp') ? 'Let it spin up' : 'Press eject';
    case 'force':
      return `Force the ${moved}`;
    case 'power':
      return what === 'on' ? 'Plug it in' : 'Pull the plug';
    case 'test': {
      const test = knowledge.tests.find(({ id }) => id === what);
      return named(test && testName(test, loader), what);
    }
    case 'open':
      return what === 'deep' ? 'Open it down to the train' : 'Take the lid off';
    case 'close':
      return 'Put the lid on';
    case 'swab':
      return `Swab the ${what}`;
    case 'clean':
      return named(CLEANING[what as Cleaned], what);
    case 'wait':
      return 'Wait until it is dry';
    case 'measure': {
      const method = findMethod(what);
      return named(method && capital(readingName({ measurand: method.measurand, method: what })), what);
    }
    case 'cure': {
      const cause = knowledge.causes.find(({ id }) => id === what);
      return `Put right: ${named(cause && causeName(cause, loader), what)}`;
    }
    case 'fit': {
      const belt = CATALOGUE.find(({ id }) => id === what);
      return `Fit ${named(belt && beltLabel(belt, 'mm').size, what)}`;
    }
    case 'cycles':
      return 'Ten cycles, some with a disc';
    case 'handBack':
      return 'Hand it back';
  }
}
