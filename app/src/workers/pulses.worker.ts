import './living';
import { expose } from 'comlink';
import { readPulses } from '@loose-pulley/core/physics/speed';

const api = { readPulses };
export type PulsesApi = typeof api;
expose(api);
