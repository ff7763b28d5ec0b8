import { DEFAULT_LIMITS, type Limits, type Spread } from '@loose-pulley/core/sizing';
import { limitsSet } from '../store/settings';
import { useAppDispatch, useAppSelector } from '../store/store';
import { Button } from '../ui/Button';
import { NumberLine } from '../ui/NumberLine';
import { SURFACES } from '@loose-pulley/core/drive';

type SpreadKey = { [K in keyof Limits]: Limits[K] extends Spread ? K : never }[keyof Limits];
type PlainKey = Exclude<keyof Limits, SpreadKey | 'friction'>;

/** What each is, in which unit, and between what it may lie. */
const SPREADS: Readonly<Record<SpreadKey, readonly [name: string, unit: string, least: number, most: number]>> = {
  hardnessShoreA: ['Hardness of a new belt', 'Shore A', 20, 80],
  relaxedShare: ['Share of its fresh pull that it keeps', 'of 1', 0.3, 1],
  trayPullN: ['Tray pull, until measured', 'N', 0.1, 40],
  travelPerTurnMm: ['Tray travel a turn, until counted', 'mm', 0.1, 40],
  efficiency: ['Efficiency from motor to tray', 'of 1', 0.1, 0.95],
  heldThroughN: ['Pull of the belt that a tray is held through', 'N', 0, 20],
  spindleTorqueNmm: ['Torque of a spindle, at the motor', 'N·mm', 0.01, 50],
  stallFactor: ['Motor stall over the healthy need', 'times', 1, 20],
  motorDiameterMm: ['Motor pulley, until measured', 'mm', 1, 60],
  drivenDiameterMm: ['Driven pulley, until measured', 'mm', 2, 200],
  stretchLeast: ['Least stretch that drives', 'of 1', 0, 0.2],
};
const PLAIN: Readonly<Record<PlainKey, readonly [name: string, unit: string, least: number, most: number]>> = {
  modulusRelativeStd: ['Spread of the rubber’s stiffness', 'of 1', 0.01, 0.6],
  stretchComfortable: ['Stretch that is comfortable', 'of 1', 0.02, 0.5],
  stretchMost: ['Stretch that is the most', 'of 1', 0.03, 0.6],
  gripWanted: ['Grip wanted', 'times the need', 1, 5],
  gripLeast: ['Grip that still counts as working', 'times the need', 1, 3],
  motorLeast: ['What must be left of the motor', 'times the need', 1, 3],
  stiffnessLogStd: ['How much a tray stiffens', 'log', 0.01, 1],
  liftTimes: ['A lift or clamp needs', 'times a tray', 0.2, 10],
  rollerTimes: ['Rollers of a slot loader need', 'times a tray', 0.2, 10],
  shaftRadiusMm: ['Motor shaft radius', 'mm', 0.3, 4],
  bushFriction: ['Friction of the bush', 'of 1', 0.01, 0.5],
  bendLeast: ['Smallest pulley', 'sections', 1, 20],
};
const SPREAD_KEYS = Object.keys(SPREADS) as SpreadKey[];
const PLAIN_KEYS = Object.keys(PLAIN) as PlainKey[];

/** Everything a belt is judged by until it is measured: seen, changed and kept for this bench. */
export function LimitsTable() {
  const limits = useAppSelector(({ settings }) => settings.limits);
  const dispatch = useAppDispatch();
  const set = (changes: Partial<Limits>) => dispatch(limitsSet({ ...limits, ...changes }));
  const own = JSON.stringify(limits) !== JSON.stringify(DEFAULT_LIMITS);
  return (
    <>
      <p className="py-2 text-soft">
        Taken until measured; from memory and common practice. They hold for every ticket of this bench. ± is one
        standard uncertainty.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        {SPREAD_KEYS.map((key) => {
          const [name, unit, least, most] = SPREADS[key];
          const spread = limits[key];
          return (
            <div key={key} role="group" aria-label={name} className="grid grid-cols-2 items-end gap-3">
              <NumberLine
                label={name}
                unit={unit}
                min={least}
                max={most}
                value={spread.best}
                onNumber={(best) => best !== null && set({ [key]: { ...spread, best } })}
              />
              <NumberLine
                label="±"
                unit={unit}
                max={most}
                value={spread.std}
                onNumber={(std) => std !== null && set({ [key]: { ...spread, std } })}
              />
            </div>
          );
        })}
        {SURFACES.map((surface) => {
          const spread = limits.friction[surface];
          const put = (changes: Partial<Spread>) =>
            set({ friction: { ...limits.friction, [surface]: { ...spread, ...changes } } });
          return (
            <div
              key={surface}
              role="group"
              aria-label={`Friction, ${surface}`}
              className="grid grid-cols-2 items-end gap-3"
            >
              <NumberLine
                label={`Friction, ${surface}`}
                unit="of 1"
                min={0.02}
                max={2}
                value={spread.best}
                onNumber={(best) => best !== null && put({ best })}
              />
              <NumberLine
                label="±"
                unit="of 1"
                max={1}
                value={spread.std}
                onNumber={(std) => std !== null && put({ std })}
              />
            </div>
          );
        })}
        {PLAIN_KEYS.map((key) => {
          const [name, unit, least, most] = PLAIN[key];
          return (
            <NumberLine
              key={key}
              label={name}
              unit={unit}
              min={least}
              max={most}
              value={limits[key]}
              onNumber={(value) => value !== null && set({ [key]: value })}
            />
          );
        })}
      </div>
      <Button className="mt-4" disabled={!own} onClick={() => dispatch(limitsSet(DEFAULT_LIMITS))}>
        Back to the app’s own
      </Button>
    </>
  );
}
