import type { SourceId } from './ids.ts';

/** Where a rule or a number comes from, from firm to weak. */
export type SourceKind = 'standard' | 'handbook' | 'paper' | 'geometry' | 'practice' | 'memory' | 'maker' | 'entered';

export interface Source {
  readonly kind: SourceKind;
  readonly title: string;
  /** What the source is used for, and how far it may be trusted. */
  readonly note: string;
}

const practice = (title: string, note: string): Source => ({ kind: 'practice', title, note });
const memory = (title: string, note: string): Source => ({
  kind: 'memory',
  title,
  note: `${note} From memory: an estimate with an interval, to be replaced by your own measurement.`,
});

/** Every source that a finding, a constant or a check item may point at. */
export const SOURCES: Readonly<Record<SourceId, Source>> = {
  'euler-eytelwein': {
    kind: 'handbook',
    title: 'Belt friction after Euler (1769) and Eytelwein (1808), with the V-belt form of machine-design handbooks',
    note: 'T_load / T_brake = exp(sum of mu * theta / sin(beta / 2)). Exact for a limp rope that slides.',
  },
  'standard-gravity': {
    kind: 'standard',
    title: '3rd General Conference on Weights and Measures (1901)',
    note: 'g = 9.80665 m/s2.',
  },
  'en-564': {
    kind: 'standard',
    title: 'EN 564, Mountaineering equipment: accessory cord',
    note: 'Minimum strength F = 0.2 d² kN, d in mm (5 mm 5.0, 6 mm 7.2, 7 mm 9.8, 8 mm 12.8). Text not at hand: from memory.',
  },
  'en-566': {
    kind: 'standard',
    title: 'EN 566, Mountaineering equipment: slings',
    note: 'Minimum strength 22 kN. Text not at hand: from memory.',
  },
  'en-12275': {
    kind: 'standard',
    title: 'EN 12275, Mountaineering equipment: connectors',
    note: 'Type B 20/7/7 kN, type H 20/7/6, type X 18/7/5 (major, minor, gate open). Text not at hand: from memory.',
  },
  'wexler-1950': {
    kind: 'paper',
    title: 'A. Wexler, The theory of belaying, American Alpine Journal 7 (1950)',
    note: 'F = m g (1 + sqrt(1 + 2 k f / (m g))), for a rope that stretches like a spring and a belay that does not give.',
  },
  'handbook-heat': {
    kind: 'handbook',
    title: 'Specific heats of metals, tables of physics handbooks',
    note: 'Aluminium 0.90 J/(g K), steel 0.47 J/(g K), at room temperature.',
  },
  'lever-statics': {
    kind: 'handbook',
    title: 'Statics of a beam on two supports: a load at x of w puts x / w on the far support',
    note: 'Used for a load that is held away from the spine. A connector is a bent frame, so this is an estimate between gate-open and full strength.',
  },
  impulse: {
    kind: 'handbook',
    title: 'Impulse and energy of two masses joined by a rope over friction, as in textbooks of mechanics',
    note: 'The common speed once the rope is tight, and how high the lighter one then rises. The rope is taken as inextensible, and nothing is damped: the lift is a high estimate.',
  },
  'en-892': {
    kind: 'standard',
    title: 'EN 892, Mountaineering equipment: dynamic mountaineering ropes',
    note: 'Diameter is measured under a set load, so a hand-held caliper may read another value. Impact force: single at most 12 kN with 80 kg at factor 1.77, half at most 8 kN with 55 kg, twin at most 12 kN as a pair. Single and half are each made to be judged on their own; unlike a low-stretch rope they stretch in a fall. Text not at hand: from memory.',
  },
  'en-1891': {
    kind: 'standard',
    title: 'EN 1891, Personal protective equipment: low stretch kernmantle ropes',
    note: 'Type A at least 22 kN, B at least 18 kN, ends with a knot 15 and 12 kN; at most 5 % longer between 50 and 150 kg; at most 6 kN at factor 0.3 with 100 kg; made from 8.5 to 16 mm. Text not at hand: from memory.',
  },
  'en-567': {
    kind: 'standard',
    title: 'EN 567, Mountaineering equipment: rope clamps',
    note: 'A clamp holds 4 kN without damage to the rope. Text not at hand: from memory.',
  },
  'en-12277': {
    kind: 'standard',
    title: 'EN 12277, Mountaineering equipment: harnesses',
    note: 'A sit harness holds 15 kN at its tie-in; gear loops are made to hold nothing. Text not at hand: from memory.',
  },
  'en-12278': {
    kind: 'standard',
    title: 'EN 12278, Mountaineering equipment: pulleys',
    note: 'At least 12 kN. Text not at hand: from memory.',
  },
  'en-15151': {
    kind: 'standard',
    title: 'EN 15151, Mountaineering equipment: braking devices, part 1 with manually assisted locking, part 2 manual',
    note: 'How braking devices are tested and marked. Text not at hand: from memory.',
  },
  'en-341': {
    kind: 'standard',
    title: 'EN 341, Personal fall protection equipment: descender devices for rescue',
    note: 'Descenders that bring down another person. Text not at hand: from memory.',
  },
  'en-353-2': {
    kind: 'standard',
    title:
      'EN 353-2, Personal protective equipment against falls: guided type fall arresters including a flexible anchor line',
    note: 'A fall is stopped with at most 6 kN. Text not at hand: from memory.',
  },
  'en-12841': {
    kind: 'standard',
    title: 'EN 12841, Personal fall protection equipment: rope adjustment devices',
    note: 'Type A for the safety line, B for going up, C for going down; a fall is stopped with at most 6 kN. Text not at hand: from memory.',
  },
  'en-358': {
    kind: 'standard',
    title: 'EN 358, Personal protective equipment for work positioning',
    note: 'Belts and lanyards hold 15 kN. Text not at hand: from memory.',
  },
  'en-362': {
    kind: 'standard',
    title: 'EN 362, Personal protective equipment against falls: connectors',
    note: 'Connectors for work close by themselves and lock. Text not at hand: from memory.',
  },
  'ansi-z133': {
    kind: 'standard',
    title: 'ANSI Z133, Safety requirements for arboricultural operations (United States)',
    note: 'Climbing line at least 24 kN and at most 7 % longer at 2.4 kN; connectors at least 22.2 kN, closing and locking by themselves, opened by two actions. Other countries have rules of their own. Text not at hand: from memory.',
  },
  'belt-around-two-circles': {
    kind: 'geometry',
    title: 'Length of an open belt around two circles, and of a helix: hypot(circumference, pitch)',
    note: 'Checked in the tests against a finely sampled curve.',
  },
  'plane-geometry': {
    kind: 'geometry',
    title: 'Lengths and distances in the drawing plane',
    note: 'Sums, halves and the theorem of Pythagoras on the measures you entered.',
  },
  'own-limits': {
    kind: 'entered',
    title: 'What Zevrin does not judge yet',
    note: 'Nobody has looked at it: it is said, and it never turns into a pass.',
  },
  'maker-declaration': {
    kind: 'maker',
    title: 'Declaration of the maker, as entered in the locker',
    note: 'Zevrin repeats what was entered. The instructions that came with the item decide.',
  },
  entered: {
    kind: 'entered',
    title: 'What you entered for this set-up',
    note: 'Taken as said; the check before use looks again.',
  },
  'practice-hook-up': practice(
    'Common practice: what goes wrong when hooking up',
    'Three things go wrong most: the harness, the anchor with the rope through it, the device.',
  ),
  'practice-ends-closed': practice(
    'Common practice: knots in both rope ends',
    'A knot in each end keeps the device from running off a rope that is too short.',
  ),
  'practice-middle': practice(
    'Common practice: the middle of a doubled rope',
    'A doubled rope reaches half its length. A middle missed by x makes the ends unequal by 2x.',
  ),
  'practice-extension': practice(
    'Common practice: device on an extension',
    'The device is raised on a sling so that a hitch below it keeps clear; it stays within reach of the arm.',
  ),
  'practice-hitch-clear': practice(
    'Common practice: the hitch must not reach the device',
    'A hitch that touches the device is pushed open by it just when it should hold.',
  ),
  'practice-hitch-cord': practice(
    'Common practice: cord for a friction hitch',
    '6 mm cord on common single ropes; cord-to-rope ratio 0.6 to 0.8. Thicker cord bites poorly, thinner cord binds and is weak.',
  ),
  'practice-hitch-wraps': practice(
    'Common practice: wraps of a friction hitch',
    'Three to four wraps around both brake strands; four to five for a French Prusik on a single rope.',
  ),
  'practice-hitch-test': practice(
    'Common practice: the hitch is tested before it is trusted',
    'Load it while the other hand still holds the rope below it; it must bite, then let go again when you want it to.',
  ),
  'practice-hitch-angle': practice(
    'Common practice: hitch and steepness',
    'At a low angle the hitch has to be pushed down; on steep ground it runs easily.',
  ),
  'practice-leg-loop': practice(
    'Common practice: hitch on a leg loop',
    'Only on a leg loop that is sewn shut or has a buckle made to take load.',
  ),
  'practice-broad-end': practice(
    'Common practice: broad end of the connector to the rope in a tube',
    'Two strands lie side by side on the broad end and run alike; in the narrow end they crowd, twist and wear.',
  ),
  'practice-ways': practice(
    'Common practice: trying every connector in every device once',
    'A sleeve between plates loads the gate like a lever; a bar that wedges keeps a device from turning; a connector that can turn settles across.',
  ),
  'practice-pair': practice(
    'Common practice: two connectors side by side',
    'Gates opposed and reversed, so that one push cannot open both.',
  ),
  'practice-gate': practice(
    'Common practice: gate of a connector',
    'Gate closed and locked, turned away from running rope and rock; a screw sleeve can be rolled open by rope or shaken open.',
  ),
  'practice-thin-rope-tube': practice(
    'Common practice: thin rope in a tube',
    'A tube without grooves brakes a thin modern rope too little.',
  ),
  'practice-families': practice(
    'Common practice: what each family of devices is made for',
    'Which jobs, how many strands, what it does when the hand lets go, what defeats it. The declaration of the model comes first.',
  ),
  'practice-lowering': practice(
    'Common practice: lowering from an anchor',
    'A device at the anchor has load and brake strand side by side and holds little; led up through a connector above it and down again the brake strand gives the turn back. A Munter hitch is at its best with both strands side by side.',
  ),
  'practice-blocked-rope': practice(
    'Common practice: one strand blocked at the rings',
    'A knot drawn against the rings holds the strand on the other side only; a connector through the knot and around that strand stops a knot that slips through. The other strand pulls the rope down.',
  ),
  'practice-tie-in': practice(
    'Common practice: tying in',
    'A figure eight traced back, or a locked bowline, through the tie-in points; five pairs of strands side by side, a tail of a fist.',
  ),
  'practice-rope-kinds': practice(
    'Common practice: which kind of rope for which job',
    'A leader falls onto a dynamic single rope, or onto half or twin ropes in pairs. Low-stretch rope serves lines that you climb, hang on and go down.',
  ),
  'practice-single-points': practice(
    'Common practice: what may be alone',
    'One belay loop, one rope, one locked connector, one sewn sling and one anchor of several points are accepted and looked at each time; a hand alone is not.',
  ),
  'practice-stances': practice(
    'Common practice: order of steps at a stance and in a transition',
    'Attached by something locked and weighted before anything is undone; the rope tied to something before it is untied; ends closed before anybody goes down.',
  ),
  'fault-tree': {
    kind: 'handbook',
    title:
      'W. E. Vesely, F. F. Goldberg, N. H. Roberts, D. F. Haasl: Fault Tree Handbook, NUREG-0492 (1981), chapters VII and VIII',
    note: 'Minimal cut sets by top-down substitution. Its pressure tank is a test. Text not at hand: from memory.',
  },
  'practice-guide-mode': practice(
    'Common practice: thin rope in a guide plate',
    'In guide mode, declared from about 8.7 mm, a thinner half rope can twist, flip and pinch so that it no longer takes in.',
  ),
  'practice-assisted-cam': practice(
    'Common practice: assisted cam devices',
    'About 8.9 to 11 mm on one strand. Thin or new slick ropes, heavy climbers, wear and water reduce braking; add friction when lowering on thin rope.',
  ),
  'practice-multi-ascender': practice(
    'Common practice: multi-ascenders',
    '11 to 13 mm, one person. A 9 mm line slips even when tuned, 10.5 mm works only after tuning; firm round rope behaves better than a soft sheath, and a new treated rope otherwise than a washed one.',
  ),
  'practice-two-sided-plate': practice(
    'Common practice: two-sided plates',
    'V groove for 8 mm, U groove from 9.5 mm (3/8 in). Rope around the connector only is too little friction for most adults.',
  ),
  'practice-teeth': practice(
    'Common practice: toothed cams',
    'Teeth damage the sheath at a few kN, which a fall onto slack rope can reach.',
  ),
  'practice-wet-icy': practice(
    'Common practice: wet and icy rope',
    'What grips a rope hands-off, a cam, a clamp, a grab or a plate in guide mode, grips wet rope less and icy rope perhaps not at all.',
  ),
  'practice-joining-knot': practice(
    'Common practice: joining two ropes for a rappel',
    'A flat overhand with long tails turns away from edges, but rolls where the ropes are unlike; a double fisherman’s holds unlike ropes, but catches when the ropes are pulled.',
  ),
  'practice-condition': practice(
    'Common practice: condition of gear of fibre',
    'Ropes, cords, slings and harnesses are run through the hands before use; damaged ones are taken out and marked.',
  ),
  'practice-helmet': practice('Common practice: helmets', 'Worn and closed by the climber and by the people below.'),
  'practice-threading': practice(
    'Common practice: threading a device',
    'As shown on the device, brake strand in the grooves; then a sharp pull at the load strand, which must hold.',
  ),
  'practice-person-mass': practice(
    'Common practice: very heavy and very light people',
    'Devices are tried and declared for usual adults; beyond that they brake too little, or hold back.',
  ),
  'practice-belay-mass': practice(
    'Common practice: masses of climber and belayer',
    'A belayer who is lighter than the climber is lifted, into the first piece or off the stance; a much heavier one gives a hard catch.',
  ),
  'practice-guide-plate': practice(
    'Common practice: a plate at the anchor for one or two seconds',
    'The loaded strand lies above and presses on the brake strand. Two ropes are kept side by side, gathered by a connector some metres below; crossed, the lower one is not held. The second is clipped in without leading the brake strand up and loading it.',
  ),
  'practice-calls': practice(
    'Common practice: calls',
    'A call has a name and a word, and is answered; silence is no answer. Off belay only when locked and loaded elsewhere. Whether the climber is lowered or rappels is agreed on the ground. Where one cannot hear, tugs or signs are agreed before.',
  ),
  'practice-catch': practice(
    'Common practice: catching a fall',
    'The device must not be drawn into the first piece: a cam is pressed open there, a hand is drawn in and lets go. A body’s length stays free below the feet. Stand close to the wall, with little slack; step up where nothing is hit.',
  ),
  'practice-two-attachments': practice(
    'Common practice: two attachments on a rope that you climb',
    'On one ascender or one rope grab nothing is left when it opens; a foot loop is no attachment.',
  ),
  'practice-ascending': practice(
    'Common practice: going up a rope',
    'The tether ends where the arm still works. The foot loop lets one stand so that the upper grip comes close above the tie-in, and does not touch it. The first strokes only stretch the rope.',
  ),
  'practice-bench': practice(
    'Common practice: try a pair of grips near the ground',
    'Half a metre up, with a second person and something else that holds: 10 cm until it holds are usual, more than 30 cm are too much.',
  ),
  'practice-cascade': practice(
    'Common practice: two that grip one rope',
    'What is tended by pushing it, hitches and grabs without teeth, lets go when another one slides onto it. A toothed one below, or the second one on a rope of its own, breaks that.',
  ),
  'practice-self-belay': practice(
    'Common practice: alone on a top rope',
    'Two attachments, at best on two ropes; slack seen and pulled through; a weight on the end of the rope for the first metres; no climbing up to the anchor with slack; each device tried at half a metre with the hands off.',
  ),
  'practice-base-tie': practice(
    'Common practice: line tied at the base of a tree',
    'It takes twice the height, the way to the base, and about three metres more.',
  ),
  'practice-tuning': practice(
    'Common practice: tuning a bollard to a rope',
    'Halve the settings: hold for 60 s, bounce three times, go down slowly, let go and be held again three times. Another rope, a washed, wet or worn one is tuned anew. What helps: wash the treated sheath off, draw the rope through a fork, take firm round rope, wear the bollard in.',
  ),
  'practice-pick-off': practice(
    'Common practice: bringing somebody down who hangs motionless',
    'Linked first, short and tight; lifted by a mini haul until their device carries nothing; everything of theirs off the rope; friction for two. Never fewer than two things hold them. By arms about 250 N can be hauled, with one’s weight 450 N.',
  ),
  'practice-tree-point': practice(
    'Common practice: tie-in point and second attachment in a tree',
    'Two persons bounce on the line from the ground before anybody goes up. Nobody cuts, and nobody changes, on one attachment. Nothing that a foot stands in is above a bollard.',
  ),
  'practice-limb': practice(
    'Common practice: out along a limb',
    'A line at more than 30 degrees, or a swing that drops more than half a metre, is minded; more than 45 degrees or 1.5 m wants a second line. Coming back the line is taken in at every step. A loaded line runs over no limb below its tie-in, and a long device lies over none.',
  ),
  'practice-rope-walk': practice(
    'Common practice: lengths for walking up a rope, out on a limb, and with free hands',
    'Hanging, the top of the device is about 5 cm below the chin; the knee ascender just below the knee with the leg straight; strokes of 30 to 45 cm; a foot loop that one hand adjusts. Out on a limb the tether is as long as one hand reaches. With free hands it is short, and so is the foot loop: the device is at the saddle.',
  ),
  'practice-unlike-strands': practice(
    'Common practice: two strands of unlike rope',
    'Thinner or slicker strands run faster: the rope creeps through the anchor and one end comes up short.',
  ),
  'practice-brake-hand': practice(
    'Common practice: brake hand below the device',
    'With the hand above the device line about half the wrap, and with it most of the braking, is gone.',
  ),
  'practice-more-friction': practice(
    'Common practice: more friction for a heavy person or thin rope',
    'A second connector beside the first in the device adds friction; a light person may have to feed rope instead.',
  ),
  'practice-slow': practice(
    'Common practice: go slowly',
    'Speed heats the device, and a frightened hand squeezes the hitch open instead of letting go.',
  ),
  'practice-clear-of-device': practice(
    'Common practice: keep the device free',
    'Hair, clothing and gloves are pulled into a device together with the rope.',
  ),
  'practice-rope-through-rings': practice(
    'Common practice: rope passed through rings',
    'About 9 m is pulled up, tied and clipped before the rope is untied, so that it cannot be dropped.',
  ),
  'practice-metal-on-metal': practice(
    'Common practice: rope through metal',
    'Rope that is pulled through a textile sling burns it; it is passed through rings or links.',
  ),
  'practice-edge': practice(
    'Common practice: edges',
    'A loaded rope over a sharp edge is cut easily; pad it or move the line.',
  ),
  'practice-low-melting': practice(
    'Common practice: no low-melting fibre as a sliding hitch',
    'UHMWPE softens at about 145 °C and slides; polyamide and polyester melt above 200 °C, aramid does not melt.',
  ),
  'memory-friction': memory(
    'Rope on light metal',
    'Coefficient of friction 0.2 to 0.35, shifted by water, ice, treatment, fuzz and wear.',
  ),
  'memory-hand-force': memory(
    'Grip of one hand on a rope',
    'What one bare or gloved hand holds on one or two strands for a while.',
  ),
  'memory-hitch-grip': memory(
    'Grip of a friction hitch',
    'Cord on rope 0.17 to 0.30; tension ratio of about 20 that a hitch must build up.',
  ),
  'memory-knots': memory(
    'Rope used up by knots',
    'Lengths in multiples of the diameter, and the strength that a knot leaves.',
  ),
  'memory-diameter': memory(
    'Diameter of a rope that was not measured',
    'Labels and calipers differ by about 0.3 mm; used ropes get thicker. In which diameters ropes of a kind are made, with a little room on both sides.',
  ),
  'memory-fall': memory(
    'Loads in a fall',
    'At which load rope slips through a belay device, and how stiff a dynamic rope is.',
  ),
  'memory-stretch': memory(
    'Stretch of a rope under one person',
    'A dynamic rope gives 6 to 10 % under one person who hangs still, a low-stretch one 2 to 5 %. EN 892 allows a single rope 10 %, EN 1891 5 % between 50 and 150 kg.',
  ),
  'memory-grabs': memory(
    'Grabs and clamps on a rope',
    'How long they are along the rope, how far they run before they bite, what they give back, how hard rope is pulled through them, and how long a stroke takes.',
  ),
  'memory-motionless': memory(
    'Hanging motionless',
    'Who hangs motionless in a harness can lose consciousness within minutes: under five is the plan, about ten the limit.',
  ),
  'memory-haul': memory(
    'Pulleys and connectors in a haul',
    'What is left of a pull behind a half turn over a pulley or a connector.',
  ),
  'memory-tree': memory(
    'Line over wood and over a friction saver',
    'Friction of a line over bark about 0.2 to 0.5, over a ring or pulley next to none. Two who bounce on a line weigh one and a half times the climber, at least. A bollard device is 20 to 32 cm long; the collarbone is about 15 cm below the chin.',
  ),
  'memory-pick-off': memory(
    'Length of the link to a casualty',
    'Beyond about 60 cm nobody keeps the head of a motionless person up from above.',
  ),
  'memory-runner': memory(
    'Rope over a connector at the anchor',
    'How much of the load is left behind half a turn over one connector: friction of about 0.13 to 0.17, not that of a tube.',
  ),
  'memory-catch': memory(
    'Bodies and ropes in a catch',
    'How much a rope damps, how fast somebody steps up, how well shoes hold, how high a device hangs, and from what on rope burns a palm.',
  ),
  'memory-clipping': memory('Play of connectors in devices', 'How much play turns freely and how little wedges.'),
  'memory-margins': memory('Margins', 'How much clearance or strength is asked for beyond zero.'),
  'memory-typical': memory(
    'What is typical of its kind',
    'Lengths of people and gear that nobody measured yet: wide ranges, which never make anything clear.',
  ),
  'memory-rope-length': memory(
    'Length of a rope that was not measured',
    'Ropes shrink with use by some per cent; new ropes are often a little long.',
  ),
};
