export { rebuildEvents } from '../../../work/strip';
