/**
 * The wings of core, in order: a wing may use those before it, by the doors of their rooms. `uses` are the rooms beside
 * it in its own wing. `npm run lint` holds the code to this list, and the list to what is really used.
 */
module.exports = [
  {
    wing: 'base',
    holds: 'what everything speaks',
    rooms: {
      units: { holds: 'lengths, forces, sizes as typed and shown; words by the platform; Result' },
      schema: { holds: 'the language in which a stored shape is described once' },
      statistics: { holds: 'uncertainties, means, exact intervals, seeded draws' },
      shapes: { holds: 'a record for each shape of section', uses: ['units'] },
      loaders: { holds: 'a record for each kind of loader' },
      thresholds: { holds: 'by what something is recommended, kept, or a tie' },
      timers: { holds: 'timers, and days counted on', uses: ['schema', 'units'] },
      table: { holds: 'CSV in and out', uses: ['units'] },
      spoken: { holds: 'how benches speak: tokens, words, slips; the chart that finds every reading' },
    },
  },
  {
    wing: 'physics',
    holds: 'what a drive does',
    rooms: {
      geometry: { holds: 'belt paths by common tangents; sag' },
      rubber: { holds: 'modulus from hardness, pull of a strand' },
      drive: { holds: 'pulleys, seat, stretch, grip, loads, torque', uses: ['geometry', 'rubber'] },
      evaluation: { holds: 'whether a belt works: the one criterion', uses: ['drive', 'rubber'] },
      cycle: { holds: 'a loading cycle in time: what moves, slips, stands' },
      speed: { holds: 'rpm with creep, strobe bars, pulses', uses: ['drive', 'rubber'] },
      gears: { holds: 'spur gears, what gear it is, outlines' },
      train: { holds: 'from motor to disc: ratios, travel, timing, rollers' },
    },
  },
  {
    wing: 'belts',
    holds: 'from a reading to a belt',
    rooms: {
      catalogue: { holds: 'belts to choose from, by series' },
      measuring: { holds: 'ways of measuring; takeReading; what readings say together' },
      readingLine: { holds: 'one typed reading, as it is said', uses: ['measuring'] },
      sizing: { holds: 'priors, requirements, thresholds, a belt judged', uses: ['catalogue', 'measuring'] },
      probability: { holds: 'samples, chances, verdicts, value of a reading', uses: ['catalogue', 'sizing'] },
      cycling: {
        holds: 'machines that fit what is known, run through a cycle',
        uses: ['catalogue', 'probability', 'sizing'],
      },
    },
  },
  {
    wing: 'work',
    holds: 'what hands do and how it is said',
    rooms: {
      strip: { holds: 'steps, layers, temporary changes, the way back' },
      stripLine: { holds: 'one typed line of Strip', uses: ['strip'] },
      ownerLine: { holds: 'what an owner says is wrong; the first line of a repair' },
      compatibility: { holds: 'agents, materials, hazards' },
      jams: { holds: 'the ladder of each loader, turns by hand', uses: ['strip'] },
      cleaning: { holds: 'places and how each stands', uses: ['compatibility', 'jams', 'strip'] },
      treatmentLine: { holds: 'one typed line of Clean', uses: ['cleaning', 'compatibility'] },
      diagnosis: { holds: 'causes, tests, Bayes, the next test' },
      proving: { holds: 'counted cycles, how many it takes, checks' },
    },
  },
  {
    wing: 'record',
    holds: 'the ticket',
    rooms: {
      stations: { holds: 'a folder a station: schema, events, words' },
      findings: { holds: 'what was found: a row a kind, one ledger, read by all', uses: ['stations'] },
      ticket: { holds: 'the document: replay, undo, summaries', uses: ['stations'] },
    },
  },
  {
    wing: 'views',
    holds: 'what a ticket comes to',
    rooms: {
      machine: { holds: 'mains, lid, what is off, custody, failures' },
      train: { holds: 'the train of a ticket with its belts' },
      strip: { holds: 'what a line of Strip makes happen' },
      clean: { holds: 'places, what holds back belt and power' },
      said: { holds: 'a typed line at whatever station: read once, done where it belongs', uses: ['clean', 'strip'] },
      evidence: { holds: 'what a ticket tells the adviser', uses: ['machine'] },
      drive: { holds: 'facts, sisters, recommendation, what is fitted', uses: ['evidence', 'train'] },
      cycle: { holds: 'what a ticket knows of its cycle, and a cycle in words', uses: ['drive', 'evidence', 'train'] },
      handBack: { holds: 'what is open; the letter', uses: ['drive'] },
      knownBefore: { holds: 'what an earlier ticket knows' },
      remoteIntake: { holds: 'questions for an owner far away' },
    },
  },
  {
    wing: 'shop',
    holds: 'beside the tickets',
    rooms: {
      drawer: { holds: 'what a bench has, kits, rails' },
      orders: { holds: 'asked of suppliers, and what came', uses: ['drawer'] },
      schedule: { holds: 'one pair of hands: the search' },
      day: { holds: 'steps and waits, the plan, promises', uses: ['drawer', 'orders', 'schedule'] },
      book: { holds: 'drawer, orders and day as one document', uses: ['day', 'drawer', 'orders'] },
      lifetimes: { holds: 'how long remedies last' },
      restock: { holds: 'which belts to buy for a sum', uses: ['drawer'] },
    },
  },
  {
    wing: 'files',
    holds: 'in and out',
    rooms: {
      exchange: { holds: 'tickets and archives, validator, upcasters' },
      lists: { holds: 'a list of belts: columns matched' },
      drawing: { holds: 'drawings at 1:1, SVG and DXF' },
      calendar: { holds: 'a plan as iCalendar' },
    },
  },
];
