export { rebuildEvents } from '../../strip';
