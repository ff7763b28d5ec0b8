import { needTimes, resistanceOf, SPINDLE_OIL, type Resistance } from './resistance';
import type { CycleConditions, CycleMachine, EnergyBalance } from './types';

/* Inside the room: N, mm, s; so torques are N·mm, inertias N·mm·s² and masses N·s²/mm. */
const G_CM2 = 1e-4;
const GRAM = 1e-6;
const TURN_RAD = 2 * Math.PI;
const RPM = TURN_RAD / 60;

/** What the motor is told. */
export type Drive = 'drives' | 'shorted' | 'open';

/** What is slower than this has come to rest, rad/s of a pulley. */
const RESTS_RAD_S = 1e-9;

/**
 * A chain of turning bodies, the motor first and what it moves last, with a belt between each two. One step is an implicit
 * midpoint: second order, stable at any step, and what it makes of energy adds up. Dry friction is held at zero speed
 * (Karnopp, 1985) until what pulls is more than it holds; a belt passes at most its limit from rest, and slides at the
 * sliding share of it until the two pulleys’ speeds agree again.
 *
 * Sources: MODEL.md §6; D. Karnopp, Computer simulation of stick-slip friction (1985); creep by O. Reynolds (1874).
 */
export class Stepper {
  readonly bodies: number;
  /** Speeds, rad/s, and angles since the start, rad. */
  readonly speed: Float64Array;
  readonly angle: Float64Array;
  /** The belts’ states u, mm, what they slid so far, mm, and which way they slide now: 0 where they hold. */
  readonly wound: Float64Array;
  readonly slid: Float64Array;
  readonly slides: Int8Array;
  /** Of what travels, mm; and which way the rollers’ disc has turned, rad. */
  positionMm = 0;
  skewRad = 0;
  timeS = 0;
  /** What the motor is told, and which way. */
  told: Drive = 'open';
  way: 1 | -1 = 1;
  /** What resists it; null of a spindle. */
  readonly resistance: Resistance | null;

  readonly #inertia: Float64Array;
  /** Which way each body moves against its dry friction; 0 where it is held. */
  readonly #moves: Int8Array;
  readonly #dry: Float64Array;
  readonly #mid: Float64Array;
  readonly #row: Float64Array;
  readonly #left: Float64Array;
  readonly #right: Float64Array;
  readonly #rhs: Float64Array;
  readonly #arm: Float64Array;
  readonly #driven: Float64Array;
  readonly #driver: Float64Array;
  readonly #spring: Float64Array;
  /** Limit from rest; 0 of one that hangs. */
  readonly #limits: Float64Array;
  readonly #carry: Float64Array;
  readonly #creep: Float64Array;
  /** mm of travel a radian of the last body. */
  readonly #gear: number;
  readonly #efficiency: number;
  #share = 1;
  #next = 1;
  /** Of the step that is taken. */
  readonly #now = {
    h: 0,
    motorTorque: 0,
    motorDamping: 0,
    dryN: 0,
    restN: 0,
    againstN: 0,
    spinDrag: 0,
    /** Torques at the last body: what stands against it, grows with its speed, resists it dry, and holds it. */
    against: 0,
    lastDamping: 0,
    lastMoving: 0,
    lastHolds: 0,
    stopTorque: 0,
    stopDamping: 0,
    pressed: false,
    /** The share of the rollers’ way that the disc goes with, and how much one side stays behind. */
    rolls: 1,
    skew: 0,
  };
  readonly #heat = {
    motor: 0,
    hand: 0,
    guides: 0,
    grease: 0,
    train: 0,
    bushes: 0,
    slip: 0,
    creep: 0,
    places: 0,
    rollers: 0,
    stop: 0,
  };

  constructor(
    readonly machine: CycleMachine,
    readonly on: CycleConditions,
  ) {
    const { motor, belts, load } = machine;
    const n = belts.length + 1;
    const list = (): Float64Array => new Float64Array(n);
    this.bodies = n;
    this.speed = list();
    this.angle = list();
    this.wound = new Float64Array(n - 1);
    this.slid = new Float64Array(n - 1);
    this.slides = new Int8Array(n - 1);
    this.#moves = new Int8Array(n);
    this.#dry = list();
    this.#mid = list();
    this.#row = list();
    this.#left = list();
    this.#right = list();
    this.#rhs = list();
    this.#arm = list();
    this.#driven = list();
    this.#carry = list();
    this.#creep = list();
    this.#gear = load.kind === 'travel' ? load.travelPerTurnMm / TURN_RAD : 0;
    this.#efficiency = load.kind === 'travel' ? load.efficiency : 1;
    this.#share = this.#efficiency;
    this.#next = this.#efficiency;
    this.#driver = Float64Array.from(belts, ({ driverRadiusMm }) => driverRadiusMm);
    this.#limits = Float64Array.from(belts, ({ stretch, limitN }) => (stretch > 1 ? limitN : 0));
    for (let i = 0; i < n; i++)
      this.#dry[i] =
        (i === 0 ? motor.frictionNmm : (belts[i - 1]?.drivenBushNmm ?? 0)) + (belts[i]?.driverBushNmm ?? 0);
    if (load.kind === 'spin') {
      const dragNmm = load.dragNmm * needTimes(on, SPINDLE_OIL);
      this.#now.spinDrag = dragNmm;
      this.#now.lastMoving = dragNmm;
      this.#now.lastHolds = dragNmm;
    }
    this.#spring = Float64Array.from(belts, ({ stiffnessN, spansMm: [a, b] }) => (stiffnessN / a + stiffnessN / b) / 2);
    this.#inertia = Float64Array.from({ length: n }, (_, i) => {
      const own = i === 0 ? motor.rotorGcm2 : (belts[i - 1]?.drivenGcm2 ?? 0);
      const moved =
        i < n - 1 ? 0 : load.kind === 'spin' ? load.inertiaGcm2 * G_CM2 : load.massG * GRAM * this.#gear ** 2;
      return own * G_CM2 + moved;
    });
    this.resistance = load.kind === 'travel' ? resistanceOf(load, on) : null;
  }

  /** Speed of what travels, mm/s. */
  get speedMmPerS(): number {
    return this.#gear * (this.speed[this.bodies - 1] as number);
  }
  get motorRpm(): number {
    return (this.speed[0] as number) / RPM;
  }
  pulleyRpm(belt: number): number {
    return (this.speed[belt + 1] as number) / RPM;
  }
  /** What a belt passes now, N. */
  pullN(belt: number): number {
    return (this.#spring[belt] as number) * (this.wound[belt] as number);
  }
  /** Share of the standing motor’s current at the nominal supply. */
  get current(): number {
    if (this.told === 'open') return 0;
    const { freeRpm } = this.machine.motor;
    const supply = this.told === 'drives' ? this.way * this.on.supply : 0;
    return supply - this.motorRpm / freeRpm;
  }

  /** The train passes on its share where it drives, and holds the better where it is driven. */
  #shareOf(torque: number, way: number): number {
    return torque * way >= 0 ? this.#efficiency : 1 / this.#efficiency;
  }

  /** One step of `h` seconds. */
  step(h: number): void {
    const now = this.#now;
    now.h = h;
    this.#meet();
    this.#tension();
    this.#solve();
    // What pulls on what is held may be more than it holds; what slides may have caught up. Each is settled once at most.
    for (let turn = 0; turn <= 2 * this.bodies; turn++) {
      const freed = this.#free();
      const caught = this.#catch();
      if (!freed && !caught) break;
      this.#solve();
    }
    this.#book();
    this.#takeBelts();
    this.#takeBodies();
    this.timeS += h;
  }

  /** What stands against the last body, and what the motor has, at the middle of the step. */
  #meet(): void {
    const now = this.#now;
    const { h } = now;
    const { motor, load } = this.machine;
    const gear = this.#gear;
    const last = this.bodies - 1;
    const damping = motor.stallNmm / (motor.freeRpm * RPM);
    now.motorTorque = this.told === 'drives' ? motor.stallNmm * this.way * this.on.supply : 0;
    now.motorDamping = this.told === 'open' ? 0 : damping;
    if (load.kind === 'spin' || !this.resistance) return;

    const v0 = gear * (this.speed[last] as number);
    const at = this.positionMm + (h / 2) * v0;
    const base = this.resistance.dryN(at);
    const film = v0 / load.stribeckMmPerS;
    now.restN = base * (1 + this.resistance.restShare);
    now.dryN = base * (1 + this.resistance.restShare * Math.exp(-film * film));
    now.againstN = this.resistance.againstN(at);
    if (load.rollers) this.#roll(load.rollers);
    const over = load.stopAtMm === null ? 0 : at > load.stopAtMm ? at - load.stopAtMm : Math.min(0, at);
    now.pressed = over !== 0;
    now.stopTorque = 0;
    now.stopDamping = 0;
    if (now.pressed) {
      const from = over > 0 ? (load.stopAtMm ?? 0) : 0;
      now.stopTorque = gear * load.stopNPerMm * (this.positionMm - from);
      now.stopDamping = gear * gear * ((load.stopNPerMm * h) / 2 + load.stopNsPerMm);
    }
    now.against = gear * (now.againstN - this.on.helpN) + now.stopTorque;
    now.lastDamping = gear * gear * this.resistance.viscousNsPerMm + now.stopDamping;
    now.lastMoving = gear * now.dryN;
    now.lastHolds = gear * now.restN;
  }

  /** What rollers pass on of what the disc asks: each side half of it, at most its own. */
  #roll({ leftN, rightN }: { readonly leftN: number; readonly rightN: number }): void {
    const now = this.#now;
    const asked = Math.abs(now.againstN) + now.dryN;
    const most = leftN + rightN;
    now.rolls = 1;
    now.skew = 0;
    if (asked > most) {
      const left = most / asked;
      now.dryN *= left;
      now.restN *= left;
      now.againstN *= left;
      now.rolls = 0;
      return;
    }
    const half = asked / 2;
    const weak = Math.min(leftN, rightN);
    if (half <= weak) return;
    const lacks = (half - weak) / half;
    now.rolls = 1 - lacks / 2;
    now.skew = leftN < rightN ? lacks : -lacks;
  }

  /** What each belt passes is its `carry`, and `arm` of the speeds in the middle of the step. */
  #tension(): void {
    const { belts } = this.machine;
    for (let k = 0; k < belts.length; k++) {
      const belt = belts[k] as CycleMachine['belts'][number];
      this.#driven[k] =
        belt.eccentricMm > 0
          ? belt.drivenRadiusMm + belt.eccentricMm * Math.sin(this.angle[k + 1] as number)
          : belt.drivenRadiusMm;
      // Twice Reynolds’ term: u̇ = 2(r₁ω₁ − r₂ω₂) − creep·u.
      const pace = Math.abs((this.#driver[k] as number) * (this.speed[k] as number));
      this.#creep[k] = (2 * pace * (this.#spring[k] as number)) / (belt.stretch * belt.stiffnessN);
      if (this.slides[k] !== 0) {
        this.#carry[k] = (this.#spring[k] as number) * (this.wound[k] as number);
        this.#arm[k] = 0;
      } else this.#hold(k);
    }
  }
  #hold(k: number): void {
    const hangs = (this.#limits[k] as number) === 0;
    const c = this.#spring[k] as number;
    const { h } = this.#now;
    const factor = hangs ? 0 : 1 / (1 + (h / 2) * (this.#creep[k] as number));
    this.#carry[k] = c * (this.wound[k] as number) * factor;
    this.#arm[k] = c * h * factor;
  }

  /** The speeds in the middle of the step: three diagonals, from the motor on and back. */
  #solve(): void {
    const { h, motorTorque, motorDamping } = this.#now;
    const n = this.bodies;
    const last = n - 1;
    for (let i = 0; i < n; i++) {
      const way = this.#moves[i] as number;
      if (way === 0 && this.#held(i)) {
        this.#row[i] = 1;
        this.#left[i] = 0;
        this.#right[i] = 0;
        this.#rhs[i] = 0;
        continue;
      }
      const free = (2 * (this.#inertia[i] as number)) / h;
      let diagonal = free;
      let right = free * (this.speed[i] as number);
      let lower = 0;
      let upper = 0;
      const share = i === last ? this.#share : 1;
      if (i === 0) {
        diagonal += share * motorDamping;
        right += share * motorTorque;
      } else {
        const rb = this.#driven[i - 1] as number;
        const pull = share * rb * (this.#arm[i - 1] as number);
        right += share * rb * (this.#carry[i - 1] as number);
        diagonal += rb * pull;
        lower = -pull * (this.#driver[i - 1] as number);
      }
      if (i < last) {
        const ra = this.#driver[i] as number;
        const pull = ra * (this.#arm[i] as number);
        right -= ra * (this.#carry[i] as number);
        diagonal += ra * pull;
        upper = -pull * (this.#driven[i] as number);
        right -= way * (this.#dry[i] as number);
      } else {
        diagonal += this.#now.lastDamping;
        right -= this.#now.against + way * (share * (this.#dry[i] as number) + this.#now.lastMoving);
      }
      this.#row[i] = diagonal;
      this.#left[i] = lower;
      this.#right[i] = upper;
      this.#rhs[i] = right;
    }
    for (let i = 1; i < n; i++) {
      const m = (this.#left[i] as number) / (this.#row[i - 1] as number);
      this.#row[i] = (this.#row[i] as number) - m * (this.#right[i - 1] as number);
      this.#rhs[i] = (this.#rhs[i] as number) - m * (this.#rhs[i - 1] as number);
    }
    this.#mid[last] = (this.#rhs[last] as number) / (this.#row[last] as number);
    for (let i = last - 1; i >= 0; i--)
      this.#mid[i] =
        ((this.#rhs[i] as number) - (this.#right[i] as number) * (this.#mid[i + 1] as number)) /
        (this.#row[i] as number);
  }

  /** Whether something dry can hold a body at rest. */
  #held(i: number): boolean {
    return (this.#dry[i] as number) + (i === this.bodies - 1 ? this.#now.lastHolds : 0) > 0;
  }
  /** What a belt passes in the middle of the step, N. */
  #passed(k: number): number {
    return (
      (this.#carry[k] as number) +
      (this.#arm[k] as number) *
        ((this.#driver[k] as number) * (this.#mid[k] as number) -
          (this.#driven[k] as number) * (this.#mid[k + 1] as number))
    );
  }
  /** The torque that arrives at a body from the motor’s side. */
  #arrives(i: number): number {
    return i === 0
      ? this.#now.motorTorque - this.#now.motorDamping * (this.#mid[0] as number)
      : (this.#driven[i - 1] as number) * this.#passed(i - 1);
  }
  /** How fast the two ends of a sliding belt part, mm/s, less what creep makes up for. */
  #parted(k: number): number {
    return (
      (this.#driver[k] as number) * (this.#mid[k] as number) -
      (this.#driven[k] as number) * (this.#mid[k + 1] as number) -
      ((this.#creep[k] as number) * (this.wound[k] as number)) / 2
    );
  }

  /** Lets go of what is pulled harder than it holds. @returns whether any was */
  #free(): boolean {
    const last = this.bodies - 1;
    let any = false;
    for (let i = 0; i <= last; i++) {
      if (this.#moves[i] !== 0) continue;
      const comes = this.#arrives(i);
      const goes = i < last ? (this.#driver[i] as number) * this.#passed(i) : this.#now.against;
      for (let way = 1; way >= -1; way -= 2) {
        const share = i === last ? this.#shareOf(comes, way) : 1;
        const holds = share * (this.#dry[i] as number) + (i === last ? this.#now.lastHolds : 0);
        if (way * (share * comes - goes) <= holds) continue;
        this.#moves[i] = way;
        if (i === last) this.#share = share;
        any = true;
        break;
      }
    }
    return any;
  }

  /** Lets belts hold again whose pulleys’ speeds agree. @returns whether any did */
  #catch(): boolean {
    let any = false;
    for (let k = 0; k < this.bodies - 1; k++) {
      const way = this.slides[k] as number;
      if (way === 0 || way * this.#parted(k) >= 0) continue;
      this.slides[k] = 0;
      this.#hold(k);
      any = true;
    }
    return any;
  }

  /** Books where the power of the step went. */
  #book(): void {
    const { h, dryN, againstN, rolls, spinDrag } = this.#now;
    const heat = this.#heat;
    const mid = this.#mid;
    const last = this.bodies - 1;
    const wLast = mid[last] as number;
    const turned = Math.abs(wLast);
    const v = this.#gear * wLast;
    const comes = this.#arrives(last);
    heat.motor += h * this.#arrives(0) * (mid[0] as number);
    heat.train += h * (1 - this.#share) * comes * wLast;
    heat.guides += h * turned * (this.#gear * dryN * rolls + spinDrag);
    heat.bushes += h * turned * (this.#dry[last] as number) * this.#share;
    for (let i = 0; i < last; i++) heat.bushes += h * Math.abs(mid[i] as number) * (this.#dry[i] as number);
    if (!this.resistance) return;
    heat.grease += h * this.resistance.viscousNsPerMm * v * v;
    heat.places += h * againstN * v * rolls;
    heat.rollers += h * (1 - rolls) * (againstN * v + dryN * Math.abs(v));
    heat.hand += h * this.on.helpN * v;
    if (this.#now.pressed && this.machine.load.kind === 'travel')
      heat.stop += h * this.machine.load.stopNsPerMm * v * v;
    // Which way the train passes power on is known again in the next step.
    if (comes * wLast !== 0) this.#next = this.#shareOf(comes, wLast);
  }

  #takeBelts(): void {
    const { h } = this.#now;
    const heat = this.#heat;
    for (let k = 0; k < this.bodies - 1; k++) {
      const c = this.#spring[k] as number;
      const limit = this.#limits[k] as number;
      const u0 = this.wound[k] as number;
      const creep = this.#creep[k] as number;
      if (this.slides[k] !== 0) {
        const parted = this.#parted(k);
        this.slid[k] = (this.slid[k] as number) + h * Math.abs(parted);
        heat.slip += h * c * u0 * parted;
        heat.creep += (h * c * u0 * creep * u0) / 2;
        continue;
      }
      const middle = this.#passed(k) / c;
      const u1 = limit === 0 ? 0 : 2 * middle - u0;
      heat.creep += (h * c * middle * creep * middle) / 2;
      if (c * Math.abs(u1) <= limit) {
        this.wound[k] = u1;
        continue;
      }
      // It snaps back: what it held more than it passes while sliding becomes heat.
      const way = u1 > 0 ? 1 : -1;
      const kept = (way * limit * (this.machine.belts[k]?.slidingShare ?? 1)) / c;
      heat.slip += (c * (u1 * u1 - kept * kept)) / 4;
      this.wound[k] = kept;
      this.slides[k] = way;
    }
  }

  #takeBodies(): void {
    const { h, rolls, skew } = this.#now;
    const last = this.bodies - 1;
    for (let i = 0; i <= last; i++) {
      const mid = this.#mid[i] as number;
      let w1 = 2 * mid - (this.speed[i] as number);
      const way = this.#moves[i] as number;
      if (this.#held(i) && (way === 0 || way * w1 <= RESTS_RAD_S)) {
        // It came to rest within the step: what it had left went into what holds it.
        const left = way === 0 ? 0 : ((this.#inertia[i] as number) * w1 * w1) / 2;
        if (i === last) this.#heat.guides += left;
        else this.#heat.bushes += left;
        w1 = 0;
        this.#moves[i] = 0;
      }
      this.speed[i] = w1;
      this.angle[i] = (this.angle[i] as number) + h * mid;
    }
    this.#share = this.#next;
    const { load } = this.machine;
    if (load.kind === 'spin') return;
    const v = this.#gear * (this.#mid[last] as number);
    this.positionMm += h * v * rolls;
    if (load.rollers) this.skewRad += (h * Math.abs(v) * skew) / load.rollers.apartMm;
  }

  /** Whether everything stands. */
  get rests(): boolean {
    return this.speed.every((one) => Math.abs(one) <= RESTS_RAD_S);
  }

  /** Where the power went so far. */
  get energy(): EnergyBalance {
    const { load } = this.machine;
    let stored = 0;
    for (let i = 0; i < this.bodies; i++) stored += ((this.#inertia[i] as number) * (this.speed[i] as number) ** 2) / 2;
    for (let k = 0; k < this.bodies - 1; k++)
      stored += ((this.#spring[k] as number) * (this.wound[k] as number) ** 2) / 4;
    if (load.kind === 'travel' && load.stopAtMm !== null) {
      const over = this.positionMm > load.stopAtMm ? this.positionMm - load.stopAtMm : Math.min(0, this.positionMm);
      stored += (load.stopNPerMm * over * over) / 2;
    }
    return { ...this.#heat, stored };
  }
}
