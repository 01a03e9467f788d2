export {
  KNOTS,
  POINTS,
  clipEndSchema,
  connectorPieceSchema,
  deviceEndSchema,
  hitchEndSchema,
  knotEndSchema,
  slingPieceSchema,
  type Attachment,
  type ClipEnd,
  type ConnectorPiece,
  type DeviceEnd,
  type EndPart,
  type HitchEnd,
  type KnotEnd,
  type Piece,
  type Root,
  type SlingPiece,
} from './attachment-elements.ts';
export { CALL_IDS, type CallId } from './call-ids.ts';
export {
  STRANDS,
  anchorSchema,
  doubledSchema,
  fixedSchema,
  type LineOf,
  type RigAnchor,
  type RigLine,
} from './line-elements.ts';
export { rigPersonSchema, ROLES, callsSchema, type Calls, type RigPerson, type Role } from './person-elements.ts';
export { WEATHER, siteSchema, type Site } from './site-elements.ts';
export { limbSchema, treeSchema, type Limb, type Tree } from './tree-elements.ts';
export { brakeAngleOf, jobOf, loadOf, onSmoothSide, slackFactor, slipOf, useOf } from './load.ts';
export { fieldsOf, valueAtPath, withField, type Field } from './fields.ts';
export { rigIssues, setupSchema, SITE_REFS, type Setup } from './model.ts';
export { TEMPLATE_FACTS, TEMPLATE_GROUPS, TEMPLATE_IDS, type TemplateId } from './template-facts.ts';
export {
  belaysFromHarness,
  besideConnector,
  brakerOf,
  descentOf,
  deviceOf,
  hangingBy,
  casualtyOf,
  hitchOf,
  indexOf,
  linesOf,
  ropeIdsOf,
  mainConnector,
  ropesIn,
  ropeSlots,
  ropesOf,
  slingOf,
  strandsIn,
  thingsOf,
  type RigIndex,
  type Ropes,
  type Thing,
} from './rig.ts';
export { goodOf, observed } from './observed.ts';
export {
  BLANK_CALLS,
  blankSetup,
  BLANK_SITE,
  BLANK_TREE,
  templateFor,
  templateOf,
  TEMPLATES,
  type Scene,
  type Template,
} from './templates/index.ts';
export {
  elementAt,
  notRigged,
  placeOf,
  wellRigged,
  editorOf,
  type RigEdit,
  withAll,
  withFields,
  withItem,
  withSnapshot,
  withOrder,
} from './edit.ts';
export { SYSTEM_IDS, SYSTEMS, systemOf, systemsFor, type System, type SystemId } from './systems.ts';
export {
  ownDevice,
  removablesOf,
  variation,
  VARIATION_IDS,
  VARIATIONS,
  variationsFor,
  without,
  type Removable,
  type Variation,
  type VariationId,
} from './variations/index.ts';
