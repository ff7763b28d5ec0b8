export { forLoader, forLoaders, loaderNamed, loaderOf, LOADERS, ofLoaders, USUAL_LOADER, type Loader } from './all';
export { DRIVEN, isTurned, type Drawn, type Driven, type LoaderRecord } from './record';
