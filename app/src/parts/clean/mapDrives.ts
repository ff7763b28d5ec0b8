import { factsOf, type Ticket } from '@loose-pulley/core/ticket';
import { UNMEASURED, type MapDrive } from './MachineMap';

/** The drives of a ticket as the map draws them. */
export const mapDrives = ({ drives }: Pick<Ticket, 'drives'>): readonly MapDrive[] =>
  drives.map((one): MapDrive => {
    const facts = factsOf(one);
    const drive = facts.driveProblem ? undefined : facts.drive;
    return drive
      ? {
          id: one.id,
          motorMm: drive.motorPulley.bottomDiameterMm,
          drivenMm: drive.drivenPulley.bottomDiameterMm,
          centreMm: drive.centreDistanceMm,
          crossed: drive.crossed,
          measured: true,
        }
      : { id: one.id, ...UNMEASURED };
  });
