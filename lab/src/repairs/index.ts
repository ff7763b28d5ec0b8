export { repair, TECHNICIANS, type Repaired, type Technician } from './repair';
export { playRepairs, type StatedBand, type TechnicianRecord } from './play';
