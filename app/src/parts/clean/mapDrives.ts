import { driveFactsOf, type Ticket } from '@loose-pulley/core/record/ticket';

/** A drive as the map draws it, to scale with itself where it is measured. */
export interface MapDrive {
  readonly id: string;
  /** Its letter and what it drives, where there are several. */
  readonly title: string;
  readonly motorMm: number;
  readonly drivenMm: number;
  readonly centreMm: number;
  readonly crossed: boolean;
  readonly measured: boolean;
}
/** What a drive is drawn as until it is measured. */
export const UNMEASURED = { motorMm: 8, drivenMm: 26, centreMm: 42, crossed: false, measured: false } as const;

/** The drives of a ticket as the map draws them. */
export const mapDrives = ({ drives }: Pick<Ticket, 'drives'>): readonly MapDrive[] =>
  drives.map((one): MapDrive => {
    const title = drives.length === 1 ? '' : `Drive ${one.name}${one.role === '' ? '' : `, ${one.role}`}`;
    const facts = driveFactsOf(one);
    const drive = facts.driveProblem ? undefined : facts.drive;
    return drive
      ? {
          id: one.id,
          title,
          motorMm: drive.motorPulley.bottomDiameterMm,
          drivenMm: drive.drivenPulley.bottomDiameterMm,
          centreMm: drive.centreDistanceMm,
          crossed: drive.crossed,
          measured: true,
        }
      : { id: one.id, title, ...UNMEASURED };
  });
