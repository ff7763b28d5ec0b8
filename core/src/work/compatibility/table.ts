import { AGENT_RECORDS } from './agents';
import { AGENTS, DIRTS, type Agent, type Compatibility, type Effect } from './schema';

const forAgents = <T>(of: (agent: Agent) => T): Record<Agent, T> =>
  Object.fromEntries(AGENTS.map((agent) => [agent, of(agent)])) as Record<Agent, T>;

/** What the app believes until a bench says otherwise. */
export const COMPATIBILITY: Compatibility = {
  name: 'the app’s defaults',
  grades: forAgents((agent) => ({ ...AGENT_RECORDS[agent].grades })),
  effects: forAgents((agent) => {
    const { takes, loosens } = AGENT_RECORDS[agent];
    return Object.fromEntries(
      DIRTS.map((dirt): readonly [string, Effect] => [
        dirt,
        takes.includes(dirt) ? 'takes' : loosens.includes(dirt) ? 'loosens' : 'nothing',
      ]),
    );
  }),
  dryMinutes: forAgents((agent) => AGENT_RECORDS[agent].dryMinutes),
};
