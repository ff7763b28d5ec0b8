import { id, one, some, text } from '../../../base/schema';
import { beltTry, tryLabel, VERDICTS, want } from '../drives/schema';

export const sizeEvents = {
  tryLogged: { driveId: id(), try: beltTry },
  tryJudged: { driveId: id(), tryId: id(), verdict: one(VERDICTS), note: text(4000) },
  wantPut: { want },
  wantRemoved: { wantId: id() },
  tryLabelled: { driveId: id(), tryId: id(), changes: some(tryLabel) },
};
