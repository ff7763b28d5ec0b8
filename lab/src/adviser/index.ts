export { FIXED_ORDER, simulate, WORLDS, type Game, type Played, type Simulation, type World } from './simulate';
