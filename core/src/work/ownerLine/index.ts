export { readFirst, type FirstLine } from './first';
export { readOwner, type OwnersAnswer, type OwnersLine } from './read';
