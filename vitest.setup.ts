import fc from 'fast-check';

// Every law is tried on the same cases everywhere: a failure can be looked at again. `npm run unit` with FC_SEED tries others.
fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20261126) });
