import { driveFactsOf, type Ticket } from '@loose-pulley/core/record/ticket';
import type { BeltSizes } from './trainLayout';

/** The belt drives of a ticket as the train draws them: those that are measured. */
export const beltSizes = ({ drives }: Pick<Ticket, 'drives'>): BeltSizes =>
  Object.fromEntries(
    drives.flatMap((drive) => {
      const { motorDiameter, drivenDiameter, centreDistance } = driveFactsOf(drive);
      return motorDiameter && drivenDiameter
        ? [
            [
              drive.id,
              {
                motorMm: motorDiameter.value,
                drivenMm: drivenDiameter.value,
                centreMm: centreDistance?.value ?? motorDiameter.value + drivenDiameter.value,
              },
            ],
          ]
        : [];
    }),
  );
