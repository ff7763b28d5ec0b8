import { useParams } from 'react-router';
import { STATION_NAMES, type StationId } from '@loose-pulley/core/ticket';
import { Caution } from '../ui/Caution';
import { PluggedCaution } from '../clock/MainsLine';
import { StationFoot } from './StationFoot';
import { useTicket } from './useTicket';

type NoteStation = Exclude<StationId, 'takeIn' | 'find' | 'measure' | 'size' | 'prove' | 'handBack'>;

/** What the stations not built yet will hold, in one honest line, and the caution that applies already. */
const STATIONS_TO_COME: Readonly<
  Record<NoteStation, { readonly will: string; readonly ask: string; readonly mind: string }>
> = {
  strip: {
    will: 'It will log each screw, plug and part as it comes off, and keep what is bridged or taken out in sight. Until then it takes a note.',
    ask: 'Screws by hole and length, which plug faces which way, what was bridged or taken out and must go back.',
    mind: 'Unplug before opening; parts may stay charged. Laser light is dangerous with the lid off. Hold a hand round clips that fly.',
  },
  clean: {
    will: 'It will choose solvents by material and time the drying. Until then it takes a note.',
    ask: 'Residue off both pulleys and out of the grooves, every crumb accounted for, pulleys dry before the belt goes on.',
    mind: 'Solvent vapour burns and harms: air, gloves, no flame. Try it where it does not show. Dissolved rubber stains skin.',
  },
  rebuild: {
    will: 'It will play the strip backwards and count the screws in again. Until then it takes a note.',
    ask: 'Which screw hides under the cables, which mark meets which, what is left over.',
    mind: 'Nothing pinched, nothing bridged, and no power while a hand is inside.',
  },
};

export function NotePage() {
  const station = useParams().station as NoteStation;
  const { ticket } = useTicket();
  const { will, ask, mind } = STATIONS_TO_COME[station];
  return (
    <div className="grid max-w-3xl content-start gap-4 px-5 py-5">
      <h2 className="text-2xl">{STATION_NAMES[station]}</h2>
      <p className="text-lg">{will}</p>
      <p>
        <span className="text-soft">Worth writing down:</span> {ask}
      </p>
      <PluggedCaution ticket={ticket} />
      <Caution>{mind}</Caution>
      <StationFoot station={station} note />
    </div>
  );
}
