export { accountOfReading, takeLine, type TakenLine, type Way } from './readingLine';
