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
  const remedy = 'Try the changes listed below. Move closer to the wall, add friction, or use a heavier belayer.';
  return finding(
    {
      code: 'catch.first-piece',
      subject: ['belayer'],
      says: held
        ? direct
          ? 'The device hangs on the anchor: it cannot be pulled into the first piece.'
          : 'The belayer is tied down: the device stays away from the first piece.'
        : `${ofHundred(reachesPiece)} your device is pulled into the first piece.`,
      because: held
        ? `The pull goes to the anchor${direct ? '' : ' of the belayer'}, and the catch is harder for it.`
        : `It is {way} away; the belayer is lifted by {lift~}.${reachesPiece > 0 ? ' There the piece can push a cam open, or your hand is pulled in and lets go.' : ''}`,
      numbers: [
        {
          key: 'way',
          label: 'Way of the device to the first piece',
          quantity: 'lengthM',
          value: exactly(wayLeftM(scenario)),
        },
        { key: 'lift', label: 'Belayer is lifted', quantity: 'lengthM', value: spread.liftM },
      ],
    },
    stop
      ? reachesPiece > 0
        ? { severity: 'stop', remedy }
        : { severity: 'stop' }
      : reachesPiece > 0
        ? { severity: 'mind', remedy }
        : { severity: 'clear' },
  );
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
    says: 'No piece above the belay is clipped: the leader falls past you.',
    because: `It is {free~} deep before the rope comes tight, {factor~} the rope that is out. It pulls the ${direct ? 'anchor' : 'belayer and the anchor'} down with {force~}. Load and brake strand hang side by side there: a tube brakes very little in this direction. Check your device’s instructions for a downward pull.`,
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
  const remedy = 'Keep less slack, clip a piece earlier, and stand close to the wall. Until then: do not fall here.';
  return finding(
    {
      code: 'catch.clearance',
      subject: ['climber'],
      says: `${ofHundred(reachesGround)} the climber hits the ground or the ledge.`,
      because:
        'At the lowest point there is {left~} below the climber’s feet. What the calculation leaves out is listed below.',
      numbers: [{ key: 'left', label: 'Left below the feet', quantity: 'lengthM', value: spread.clearanceM }],
    },
    stop
      ? { severity: 'stop', remedy }
      : near || reachesGround > 0
        ? stop || near
          ? { severity: 'mind', remedy }
          : { severity: 'mind' }
        : { severity: 'clear' },
  );
}

/** From the ground with nothing clipped: no rope holds it. */
function toGround({ question }: Scenario): Finding {
  return finding({
    code: 'catch.clearance',
    severity: 'stop',
    subject: ['climber'],
    says: 'Nothing is clipped yet: a fall can reach the ground.',
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
  const remedy = 'Stand close to the wall, below the first piece and out of the line of a falling climber.';
  return finding(
    {
      code: 'catch.stance',
      subject: ['belayer'],
      because: `You stand {beside} from the wall; a fall pulls you {drawn~} towards it.${drawn || far ? ' If you stumble or hit the rock you may let go.' : ''}`,
      numbers: [
        { key: 'beside', label: 'Belayer from the wall', quantity: 'lengthM', value: exactly(question.besideM) },
        { key: 'drawn', label: 'Drawn towards the wall', quantity: 'lengthM', value: spread.towardsWallM },
      ],
    },
    drawn
      ? { severity: 'mind', says: 'The pull draws the belayer towards the wall.', remedy }
      : far
        ? { severity: 'mind', says: 'The belayer stands far from the wall.', remedy }
        : { severity: 'clear', says: 'The stance of the belayer is close enough to the wall, or held.' },
  );
}

function hand({ spread, palmJ }: CatchRuns): Finding {
  const stop = palmJ.best >= threshold('palmStopJ');
  const mind = palmJ.high >= threshold('palmMindJ');
  const remedy = 'Wear gloves, use a device that grips this rope better, or add friction at the first piece.';
  return finding(
    {
      code: 'catch.hand',
      subject: ['belayer'],
      because: '{slip~} of rope run through it; {heat~} go into the palm.',
      numbers: [
        { key: 'slip', label: 'Rope through the hand', quantity: 'lengthM', value: spread.slipM },
        { key: 'heat', label: 'Heat in the palm', quantity: 'energyJ', value: palmJ },
      ],
    },
    stop
      ? { severity: 'stop', says: 'Rope will run through the hand too hot to hold with a bare hand.', remedy }
      : mind
        ? { severity: 'mind', says: 'Rope runs through the hand and can burn it.', remedy }
        : { severity: 'clear', says: 'The rope hardly runs through the hand.' },
  );
}
