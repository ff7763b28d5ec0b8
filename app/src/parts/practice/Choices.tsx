import { useState } from 'react';
import type { Loader } from '@loose-pulley/core/base/loaders';
import { formatLength } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { CATALOGUE, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { causeName, KNOWLEDGE, testName } from '@loose-pulley/core/work/diagnosis';
import type { Practice } from '@loose-pulley/core/record/stations';
import { ASKS_BELT, type Hand } from '@loose-pulley/lab/hidden';
import { useUnit } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { Select } from '../ui/Select';

interface Props {
  readonly loader: Loader;
  readonly practice: Practice;
  readonly off: boolean;
  readonly onLay: (hand: Hand) => void;
}

const FRAME = 'grid min-w-0 grid-cols-[minmax(0,1fr)_auto] items-end gap-2 max-sm:w-full sm:w-[26rem]';

/** Any test of Find, done by hand. */
export function ChooseTest({ loader, practice, off, onLay }: Props) {
  const [chosen, setChosen] = useState('');
  const done = new Set(practice.hands.filter((hand) => hand.do === 'test').map(({ what }) => what));
  const tests = KNOWLEDGE.tests.filter(({ loaders }) => loaders.includes(loader));
  return (
    <div className={FRAME}>
      <Select
        label="A test"
        placeholder="Choose a test"
        value={chosen}
        onChoose={setChosen}
        options={tests.map(
          (test) => [test.id, `${testName(test, loader)}${done.has(test.id) ? ', done' : ''}`] as const,
        )}
      />
      <Button disabled={off || chosen === ''} onClick={() => onLay({ do: 'test', what: chosen })}>
        Do it
      </Button>
    </div>
  );
}

/** Anything that can be wrong, put right by hand. */
export function ChooseCause({ loader, off, onLay }: Props) {
  const [chosen, setChosen] = useState('');
  // What asks for another belt is put right by fitting one, beside it.
  const causes = KNOWLEDGE.causes.filter(({ id, priors }) => priors[loader] > 0 && !ASKS_BELT.has(id));
  return (
    <div className={FRAME}>
      <Select
        label="Put right"
        placeholder="Choose what"
        value={chosen}
        onChoose={setChosen}
        options={causes.map((cause) => [cause.id, causeName(cause, loader)] as const)}
      />
      <Button disabled={off || chosen === ''} onClick={() => onLay({ do: 'cure', what: chosen })}>
        Put right
      </Button>
    </div>
  );
}

const sectionOf = (belt: CatalogueBelt): string => `${belt.shape} ${belt.thicknessMm} ${belt.widthMm ?? ''}`;

/** Any belt on sale: its section first, then its length. */
export function ChooseBelt({ off, onLay }: Props) {
  const unit = useUnit();
  const [section, setSection] = useState('');
  const [belt, setBelt] = useState('');
  const sections = [...new Map(CATALOGUE.map((one) => [sectionOf(one), one])).entries()];
  const lengths = CATALOGUE.filter((one) => sectionOf(one) === section);
  return (
    <div className="grid min-w-0 grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-end gap-2 max-sm:w-full sm:w-[30rem]">
      <Select
        label="Section of a belt"
        placeholder="Which section"
        value={section}
        onChoose={(next) => {
          setSection(next);
          setBelt('');
        }}
        options={sections.map(([key, one]) => [key, beltLabel(one, unit).words] as const)}
      />
      <Select
        label="Its inner length"
        placeholder={section === '' ? 'Section first' : 'Which length'}
        value={belt}
        disabled={section === ''}
        onChoose={setBelt}
        options={lengths.map((one) => [one.id, formatLength(one.innerLengthMm, unit)] as const)}
      />
      <Button disabled={off || belt === ''} onClick={() => onLay({ do: 'fit', what: belt })}>
        Fit
      </Button>
    </div>
  );
}
