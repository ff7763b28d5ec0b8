import { readTicketDocument } from '../../core/src/files/exchange';
import { answerProbability, believe, playOutcomes } from '../../core/src/belts/probability';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS } from '../../core/src/belts/sizing';
import type { Ticket } from '../../core/src/record/ticket';
import { driveView, questionOf } from '../../core/src/views/drive';
import { buildTicket } from '../../server/src/demo/build';
import { WRACKLINE } from '../../server/src/demo/wrackline';
import { ms, times, type Row } from './report';

const DRAWS = 4000;
/** So many past tickets the page reads. */
const READ = 6;
const BENCH = { priors: DEFAULT_PRIORS, requirements: DEFAULT_REQUIREMENTS };

/** The tickets of the demo, as they are read. */
const demoTickets = (): readonly Ticket[] =>
  WRACKLINE.map((one) => {
    const record = readTicketDocument(buildTicket(one), `demo ticket ${one.details.number}`);
    if (!record.ok) throw new Error(record.problem);
    return record.value.ticket;
  });

/** The past tickets that a page reads beside one: of its machine or a mechanism of it, newest first. */
function pastOf(ticket: Ticket, all: readonly Ticket[]): readonly Ticket[] {
  const wanted = new Set(ticket.drives.map(({ mechanism }) => mechanism).filter((name) => name !== ''));
  return all
    .filter(
      (one) =>
        one.id !== ticket.id &&
        (one.machine === ticket.machine || one.drives.some(({ mechanism }) => wanted.has(mechanism))),
    )
    .sort((a, b) => b.openedAt.localeCompare(a.openedAt))
    .slice(0, READ);
}

/** The whole answer of every drive of the demo beside the bare kernel of the same run: every belt in every sample. */
export async function benchDemo(row: Row): Promise<void> {
  const all = demoTickets();
  const least = async (of: () => void): Promise<number> => Math.min(...(await times(3, of)));
  const found: Array<{ readonly name: string; readonly whole: number; readonly bare: number }> = [];
  for (const ticket of all) {
    for (const drive of ticket.drives) {
      const question = questionOf(driveView(ticket, drive, BENCH, pastOf(ticket, all)));
      if (!question) continue;
      const { value } = believe(question.situation, [], DRAWS, question.seed);
      const bare = await least(() => void playOutcomes(value, question.situation, question.belts));
      const whole = await least(() => void answerProbability(question, DRAWS));
      found.push({ name: `${ticket.number} ${drive.name}`, whole, bare });
    }
  }
  const share = ({ whole, bare }: (typeof found)[number]): number => whole / bare;
  const worst = found.reduce((most, one) => (share(one) > share(most) ? one : most));
  const booth = found.find(({ name }) => name.startsWith('0147'));
  const words = (one: typeof worst): string => `bare kernel ${ms(one.bare)}: ${share(one).toFixed(1)} × (goal 8)`;
  if (booth) row('0147, the whole answer, its sisters’ tries in', ms(booth.whole), words(booth));
  row(`the worst of ${found.length} drives of the demo, ${worst.name}`, ms(worst.whole), words(worst));
}
