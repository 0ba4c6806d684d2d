export { type Choice, chooseFiles, folderLeftOut, isIgnoreFile, isWanted, leftOutCount, type LeftOutReason, sizeLimit } from './choose';
export { decodeFile, type DecodeBytes, type Decoded } from './decode';
