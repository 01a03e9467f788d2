import { findingKeys, type Finding, type FindingCode } from '../../foundations/finding/index.ts';
import { contextOf, type Context } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import { attachmentItems } from './attachment-items.ts';
import { callsItems } from './calls-items.ts';
import type { CheckItem } from './check-item.ts';
import { withConsequences } from './consequences.ts';
import { openFinding } from './open-items.ts';
import { kindOf, type CheckItemKind } from './item.ts';
import { endItems, lineItems } from './line-items.ts';
import { peopleItems } from './people-items.ts';
import { askedBy } from './seen-facts.ts';
import { rescueItems } from './rescue-items.ts';
import { bySystem, partnersCheck } from './systems.ts';
import { treeItems } from './tree-items.ts';
import { testItems } from './test-items.ts';

/** Findings whose question a regular item asks anyway, so that nobody is asked twice. */
const ASKED_ANYWAY: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'connector.gate-unknown',
  'connector.seat-unknown',
  'geometry.ends-unknown',
  'rig.strands-in-device',
  'rig.fastening',
  'rig.block-strand',
  'rig.block-backup',
  'rig.tie-in',
  'friction.brake-led-unknown',
  'hitch.strands',
  'hitch.eyes',
  'rig.anchor-unknown',
  'rig.at-edge',
  'tree.fork-load',
  'pick.link',
  'rig.helmet',
  'fit.threaded',
  'fit.brake-side',
  'guide.load-strand',
  'guide.crossed',
  // What is in doubt about a single point is asked where the doubt is.
  'hold.single-point',
]);

/**
 * What no check leaves out, since the first version of the files: a kind is added here only together with a version
 * that knows of it.
 */
const NEVER_LEFT_OUT: ReadonlySet<CheckItemKind | undefined> = new Set<CheckItemKind>([
  'harness',
  'tie-in',
  'anchor',
  'rope-ends',
  'device-strands',
  'device-connector',
  'hitch-wraps',
]);
/**
 * Every item that a check of this set-up has whatever the assessment says: who hangs, by which knot or device, its
 * gate, and on what.
 */
export function neverLeftOut(setup: Setup): CheckItem[] {
  const ctx = contextOf(setup);
  return [peopleItems, lineItems, endItems, attachmentItems]
    .flatMap((itemsOf) => itemsOf(ctx))
    .filter((i) => NEVER_LEFT_OUT.has(kindOf(i)));
}

/**
 * The check before use, made from this set-up: one item per part that is there, in the order of what goes wrong most
 * (harness, anchor, device; where one belays another, system by system), then the hitch, the function tests, and what
 * the assessment left open. Nothing is asked about parts that the set-up does not have. Stops are not check items: they
 * are put right before a check begins. What follows when an item is passed over comes from `sequence` and `hold`.
 */
export function buildCheck(setup: Setup, findings: readonly Finding[]): CheckItem[] {
  const ctx: Context = contextOf(setup);
  const keys = findingKeys(findings);
  const onlyOneGrips = findings.some((f) => f.code === 'hold.one-attachment');
  const regular = [
    ...peopleItems(ctx),
    ...lineItems(ctx),
    ...endItems(ctx),
    ...treeItems(ctx),
    // Where nothing but a knot holds beside the device the open finding asks the same, and is accepted by name.
    ...attachmentItems(ctx).filter((i) => kindOf(i) !== 'knot-below' || !onlyOneGrips),
    ...rescueItems(ctx),
    ...testItems(ctx),
    ...callsItems(ctx),
  ];
  const asked = (f: Finding) => ASKED_ANYWAY.has(f.code) && askedBy(setup, regular, f);
  const ofConnector = ({ subject: [ref] }: Finding) =>
    ctx.index.ownerOf(ref!)?.pieces.some((p) => p.id === ref && p.kind === 'connector');
  const open = findings.flatMap((f, i) =>
    (f.severity === 'mind' || f.severity === 'untested') && !asked(f) ? [openFinding(f, keys[i]!, ofConnector(f))] : [],
  );
  const items = [...regular, ...open];
  return withConsequences(partnersCheck(setup) ? bySystem(items) : items, ctx, findings);
}
