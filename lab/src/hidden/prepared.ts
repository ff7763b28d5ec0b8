import type { Loader } from '@loose-pulley/core/base/loaders';
import { refuse, type Result } from '@loose-pulley/core/base/units';
import { dealWith, type HiddenMachine } from './deal';

/** What a machine asks whoever repairs it to judge. */
export interface Judgement {
  readonly id: string;
  /** What it is about, said afterwards. */
  readonly name: string;
  /** What is asked of whoever begins it; it gives nothing away. */
  readonly asks: string;
  /** What to take from it, said at its end. */
  readonly lesson: string;
}

/** A machine made ready for one judgement. */
export interface Prepared extends Judgement {
  readonly loader: Loader;
  readonly causes: readonly string[];
  readonly number: number;
}

/** Grows where a prepared machine is added or changed: an older app says that it does not have it. */
export const PREPARED_VERSION = 1;

const ready = (
  id: string,
  [name, asks]: readonly [string, string],
  lesson: string,
  loader: Loader,
  causes: readonly string[],
  number: number,
): Prepared => ({ id, name, asks, lesson, loader, causes, number });

/** The twelve, in an order that goes from plain to double. */
export const PREPARED: readonly Prepared[] = [
  ready(
    'oily',
    ['Oily, not slack', 'Its belt slips. Does it need another one?'],
    'A belt that slips on oil is saved by clean pulleys and a wash; a new one would have slipped as well.',
    'tray',
    ['beltOily'],
    11,
  ),
  ready(
    'glazed',
    ['Glazed', 'It is as long as it should be, and still it slips.'],
    'Length tells nothing of a face that has gone hard: press it, look at it, and feel whether it is dull.',
    'tray',
    ['beltGlazed'],
    12,
  ),
  ready(
    'emptyLoaded',
    ['Empty against loaded', 'It works with a disc in, mostly.'],
    'The clamp pulls harder with no disc between: count some cycles empty and some loaded before opening it.',
    'tray',
    ['clampMagnet'],
    13,
  ),
  ready(
    'toothOut',
    ['A tooth out', 'It runs to its end and comes back.'],
    'A train that is a tooth out reaches its end before its switch: look at the marks before any part is bought.',
    'tray',
    ['toothOut'],
    14,
  ),
  ready(
    'switch',
    ['The switch lever', 'It opens, and does not know that it did.'],
    'What turns back at its end is asked about its switch first: it costs five minutes and no part.',
    'tray',
    ['switchDirty'],
    15,
  ),
  ready(
    'link',
    ['The roller link', 'It takes a disc half in, and something rattles.'],
    'A rattle is a part telling where it is not: follow it before the rollers are blamed.',
    'slot',
    ['rollerLink'],
    16,
  ),
  ready(
    'reset',
    ['A reset', 'Nothing happens at all.'],
    'Some minutes without the plug come before every screw: they cost nothing and now and then are the repair.',
    'tray',
    ['latched'],
    17,
  ),
  ready(
    'second',
    ['A second fault behind the first', 'Its belt has seen better days. Is that all?'],
    'After a cure count cycles before it is closed: a second fault shows itself only once the first is gone.',
    'tray',
    ['beltSlack', 'switchDirty'],
    18,
  ),
  ready(
    'twoDecks',
    ['Two decks', 'One deck opens and the other does not.'],
    'Its twin beside it is the best reference there is; and after one bad belt the other is looked at too.',
    'twinTray',
    ['beltSlack'],
    19,
  ),
  ready(
    'crumbs',
    ['Crumbs', 'The motor runs, and nothing moves.'],
    'A belt that fell apart is still in there: every piece is found and both pulleys are clean before a new one goes on.',
    'wire',
    ['beltDissolved'],
    20,
  ),
  ready(
    'tooTight',
    ['Too tight', 'Somebody has already put a new belt in.'],
    'The last belt in it is no measure of the right one: measure the path, whatever is on it.',
    'tray',
    ['beltWrong'],
    // By this number its belt is too short; by others it may be too long.
    30,
  ),
  ready(
    'sound',
    ['Nothing wrong with it', 'Its owner says that it will not open.'],
    'See it fail before it is opened; what cannot be made to fail is asked about, not repaired.',
    'tray',
    ['operator'],
    26,
  ),
];

/**
 * A prepared machine by its name.
 *
 * @param version of the app that named it
 * @returns refused where a newer app prepared it, or nobody did
 * @example prepared('nobody').ok // false
 */
export function prepared(id: string, version = PREPARED_VERSION): Result<HiddenMachine> {
  const one = PREPARED.find((entry) => entry.id === id);
  if (!one && version > PREPARED_VERSION)
    return refuse('A newer Loose Pulley prepared this machine. Update this one, or take another machine.');
  if (!one) return refuse(`There is no prepared machine “${id}”. Take one of the twelve.`);
  return dealWith(one.loader, one.causes, one.number);
}
