import { Link } from 'react-router';
import { Button } from '../../parts/ui/Button';
import type { Having } from './useFirstFigures';

const HOUSE: ReadonlyArray<readonly [having: Having, have: string, then: string]> = [
  [
    'string',
    'A thread and a ruler',
    'Once round both pulleys where the belt lay, cut where it meets, laid along the ruler.',
  ],
  [
    'oldBelt',
    'The old belt, or its pieces',
    'Folded flat along a ruler. Broken: its length. In pieces: all of them, with a plus between.',
  ],
  ['oldBelt', 'A round cap that the belt just goes over', 'Its diameter, by ruler or by the printed scale.'],
  [
    'pulleys',
    'The machine open, and no belt',
    'Both pulleys and shaft to shaft, at the bottom of the groove. A thread tells it better than a ruler.',
  ],
];

/** What can be measured with what is in the house. */
export default function NothingYet({ onChoose }: { readonly onChoose: (having: Having) => void }) {
  return (
    <div className="grid gap-2">
      <p>Nothing measured yet? One of these is in most houses. Unplug the machine before a hand goes in.</p>
      <ul className="grid gap-0">
        {HOUSE.map(([having, have, then]) => (
          <li key={have} className="flex flex-wrap items-center justify-between gap-x-4 border-t border-hair py-1.5">
            <p className="min-w-0 flex-1 basis-64">
              <span className="font-semibold">{have}.</span> <span className="text-soft">{then}</span>
            </p>
            <Button onClick={() => onChoose(having)} aria-label={`I have that: ${have}`}>
              I have that
            </Button>
          </li>
        ))}
        <li className="flex flex-wrap items-center justify-between gap-x-4 border-y border-hair py-1.5">
          <p className="min-w-0 flex-1 basis-64">
            <span className="font-semibold">A printer.</span>{' '}
            <span className="text-soft">A paper scale that tells section and diameter: no caliper needed.</span>
          </p>
          <Link
            to="/scale"
            className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
          >
            Print the scale
          </Link>
        </li>
      </ul>
      <p className="text-soft">
        No belt, no pulleys? Start with the machine: what was found on its sisters is offered there.
      </p>
    </div>
  );
}
