import { Caution } from '../../parts/ui/Caution';
import { PluggedCaution } from '../../parts/clock/MainsLine';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { STATION_NAMES, type StationId } from '@loose-pulley/core/stations';

/** What Clean will hold, in one honest line, and the caution that applies already. */
const CLEAN = {
  will: 'It will choose solvents by material and time the drying. Until then it takes a note.',
  ask: 'Residue off both pulleys and out of the grooves, every crumb accounted for, pulleys dry before the belt goes on.',
  caution:
    'Solvent vapour burns and harms: air, gloves, no flame. Try it where it does not show. Dissolved rubber stains skin.',
};

export function NotePage() {
  const station: StationId = 'clean';
  const { ticket } = useTicket();
  const { will, ask, caution } = CLEAN;
  return (
    <div className="grid max-w-3xl content-start gap-4 px-5 py-5">
      <h2 className="text-2xl">{STATION_NAMES[station]}</h2>
      <p className="text-lg">{will}</p>
      <p>
        <span className="text-soft">Worth writing down:</span> {ask}
      </p>
      <PluggedCaution ticket={ticket} />
      <Caution>{caution}</Caution>
      <StationFoot station={station} note />
    </div>
  );
}
