import type { Loader } from '../../base/loaders';
import type { PlaceKind } from './schema';

type Suggested = readonly [kind: PlaceKind, name?: string];
const TRAY: readonly Suggested[] = [['bushing'], ['gear'], ['rack'], ['guide'], ['switch'], ['lens'], ['floor']];

/** What a kind of loader has beside its drives, in the order from the motor to the disc. Common practice, no source. */
export const STARTING_MAP: Readonly<Record<Loader, readonly Suggested[]>> = {
  tray: TRAY,
  twinTray: [
    ['bushing'],
    ['gear'],
    ['rack'],
    ['guide', 'guides, upper deck'],
    ['guide', 'guides, lower deck'],
    ['switch'],
    ['lens'],
    ['floor'],
  ],
  carousel: [
    ['bushing'],
    ['gear'],
    ['rack'],
    ['guide', 'drawer guides'],
    ['shaft', 'lift pivots'],
    ['clamp'],
    ['switch'],
    ['lens'],
    ['floor'],
  ],
  slot: [
    ['bushing'],
    ['gear'],
    ['roller', 'driven roller'],
    ['roller', 'following roller'],
    ['switch'],
    ['lens'],
    ['floor'],
  ],
  lift: [
    ['bushing'],
    ['gear'],
    ['rod', 'lift rods'],
    ['guide', 'drawer guides'],
    ['clamp'],
    ['switch'],
    ['lens'],
    ['floor'],
  ],
  diskDrive: [['spindle'], ['rod', 'head rods'], ['head'], ['switch'], ['contact'], ['floor']],
  wire: [['bushing'], ['shaft', 'wire drum'], ['rod'], ['switch'], ['lens'], ['floor']],
};
