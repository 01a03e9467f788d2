import { finding, type Finding } from '../../foundations/finding/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, scale } from '../../foundations/units/index.ts';
import type { CatchRuns } from './runs.ts';
import { groundFall, pastBelay } from './question.ts';
import { BEST, fallOf, isFixed, TIE_IN_ABOVE_FEET_M, wayLeftM, type Draw, type Scenario } from './scenario.ts';

/** "In 7 of 100 calculated falls"; what happens in less than one of a hundred is not rounded to none. */
export function ofHundred(share: number): string {
  if (share === 0) return 'In none of the calculated falls';
  if (share < 0.01) return 'In fewer than 1 of 100 calculated falls';
  return share >= 0.995 ? 'In every calculated fall' : `In ${Math.round(share * 100)} of 100 calculated falls`;
}

/** What many falls of one scenario say. */
export function catchFindings(scenario: Scenario, result: CatchRuns): Finding[] {
  if (groundFall(scenario.question)) return [toGround(scenario)];
  return [
    pastBelay(scenario.question) ? past(scenario, result) : firstPiece(scenario, result),
    clearance(result),
    ...(pastBelay(scenario.question) ? [] : [stance(scenario, result)]),
    ...(scenario.handN ? [hand(result)] : []),
  ];
}

function firstPiece(scenario: Scenario, { share, spread }: CatchRuns): Finding {
  const { reachesPiece } = share;
  const stop = reachesPiece > threshold('shareStop');
  const held = isFixed(scenario);
  const direct = scenario.deviceOn === 'anchor';
  return finding({
    code: 'catch.first-piece',
    severity: stop ? 'stop' : reachesPiece > 0 ? 'mind' : 'clear',
    subject: ['belayer'],
    says: held
      ? direct
        ? 'The device hangs on the anchor: it stays away from the first piece.'
        : 'The belayer is tied down: the device stays away from the first piece.'
      : `${ofHundred(reachesPiece)} your device reaches the first piece.`,
    because: held
      ? `The pull goes to the anchor${direct ? '' : ' of the belayer'}, and the catch is harder for it.`
      : `There are {way} from the device to it; the belayer is lifted by {lift~}.${reachesPiece > 0 ? ' There a cam is pressed open, a hand is drawn in and lets go.' : ''}`,
    remedy:
      reachesPiece > 0
        ? 'Try the changes listed below. Move closer to the wall, add friction, or use a heavier belayer.'
        : '',
    numbers: [
      {
        key: 'way',
        label: 'Way of the device to the first piece',
        quantity: 'lengthM',
        value: exactly(wayLeftM(scenario)),
      },
      { key: 'lift', label: 'Belayer is lifted', quantity: 'lengthM', value: spread.liftM },
    ],
  });
}

/** A fall past the belay: nothing takes it but the device and what it hangs on. */
function past(scenario: Scenario, { spread }: CatchRuns): Finding {
  // Of what is uncertain only the slack changes how deep it is.
  const over = (of: (draw: Draw) => number) => {
    const [low, best, high] = [0.05, 0.5, 0.95].map((slack) => of({ ...BEST, slack })) as [number, number, number];
    return interval(Math.min(low, best, high), best, Math.max(low, best, high));
  };
  const direct = scenario.deviceOn === 'anchor';
  return finding({
    code: 'catch.past-belay',
    severity: 'stop',
    subject: ['belayer'],
    says: 'Nothing above the stance is clipped: a fall goes past the belay.',
    because: `It is {free~} deep before the rope comes tight, {factor~} as deep as the rope that is out is long, and pulls the ${direct ? 'anchor' : 'belayer and the anchor'} down with {force~}. Load and brake strand hang side by side there: a tube brakes very little in this direction. Check your device’s instructions for a downward pull.`,
    remedy: 'Clip a good piece before the leader leaves the stance.',
    numbers: [
      {
        key: 'free',
        label: 'Fall before the rope comes tight',
        quantity: 'lengthM',
        value: over((d) => fallOf(scenario, d).freeFallM),
      },
      {
        key: 'factor',
        label: 'Fall factor',
        quantity: 'ratio',
        value: over((d) => fallOf(scenario, d).freeFallM / fallOf(scenario, d).climberSideM),
      },
      { key: 'force', label: 'Force on the belay', quantity: 'strengthKn', value: scale(spread.pieceN, 0.001) },
    ],
  });
}

function clearance({ share, spread }: CatchRuns): Finding {
  const { reachesGround } = share;
  const stop = reachesGround > threshold('shareStop');
  const near = spread.clearanceM.low < threshold('clearanceMindM');
  return finding({
    code: 'catch.clearance',
    severity: stop ? 'stop' : near || reachesGround > 0 ? 'mind' : 'clear',
    subject: ['climber'],
    says: `${ofHundred(reachesGround)} the climber hits the ground or the ledge.`,
    because: 'At the lowest point {left~} are left below the feet. What the calculation leaves out is listed below.',
    remedy:
      stop || near
        ? 'Keep less slack, clip a piece sooner, and stand close to the wall. Do not fall here until then.'
        : '',
    numbers: [{ key: 'left', label: 'Left below the feet', quantity: 'lengthM', value: spread.clearanceM }],
  });
}

/** From the ground with nothing clipped: no rope holds it. */
function toGround({ question }: Scenario): Finding {
  return finding({
    code: 'catch.clearance',
    severity: 'stop',
    subject: ['climber'],
    says: 'Nothing is clipped yet: a fall ends on the ground.',
    because: 'Your feet are {feet} above it. The rope cannot hold you before the first piece is clipped.',
    remedy: 'Spot the climber, clip the first piece from the ground with a stick, or climb back down.',
    numbers: [
      {
        key: 'feet',
        label: 'Feet above the ground',
        quantity: 'lengthM',
        value: exactly(Math.max(0, question.climberM - TIE_IN_ABOVE_FEET_M - question.ledgeM)),
      },
    ],
  });
}

function stance(scenario: Scenario, { spread }: CatchRuns): Finding {
  const { question } = scenario;
  const free = !isFixed(scenario);
  const drawn = free && spread.towardsWallM.high > threshold('drawnMindM');
  const far = free && question.besideM > threshold('stanceMindM');
  return finding({
    code: 'catch.stance',
    severity: drawn || far ? 'mind' : 'clear',
    subject: ['belayer'],
    says: drawn
      ? 'The pull draws the belayer towards the wall.'
      : far
        ? 'The belayer stands far from the wall.'
        : 'The stance of the belayer is close enough to the wall, or held.',
    because: `{beside} from the wall; a fall draws the belayer {drawn~} towards it.${drawn || far ? ' Whoever stumbles or is thrown against rock may let go.' : ''}`,
    remedy:
      drawn || far ? 'Stand close to the wall, below the first piece and out of the line of a falling climber.' : '',
    numbers: [
      { key: 'beside', label: 'Belayer from the wall', quantity: 'lengthM', value: exactly(question.besideM) },
      { key: 'drawn', label: 'Drawn towards the wall', quantity: 'lengthM', value: spread.towardsWallM },
    ],
  });
}

function hand({ spread, palmJ }: CatchRuns): Finding {
  const stop = palmJ.best >= threshold('palmStopJ');
  const mind = palmJ.high >= threshold('palmMindJ');
  return finding({
    code: 'catch.hand',
    severity: stop ? 'stop' : mind ? 'mind' : 'clear',
    subject: ['belayer'],
    says: stop
      ? 'More rope runs through the hand than a bare hand holds.'
      : mind
        ? 'Rope runs through the hand and can burn it.'
        : 'The rope hardly runs through the hand.',
    because: '{slip~} of rope run through it; {heat~} go into the palm.',
    remedy:
      stop || mind ? 'Wear gloves, use a device that grips this rope better, or add friction at the first piece.' : '',
    numbers: [
      { key: 'slip', label: 'Rope through the hand', quantity: 'lengthM', value: spread.slipM },
      { key: 'heat', label: 'Heat in the palm', quantity: 'energyJ', value: palmJ },
    ],
  });
}
