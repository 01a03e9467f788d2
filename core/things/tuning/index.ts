export {
  TRIAL_FAULTS,
  trialFaults,
  trialVerdict,
  type TrialFault,
  type TrialResult,
  type TrialVerdict,
} from './trial.ts';
export { nextTrial, trialsAtMost, type Proposal, type Tried } from './tuning.ts';
export { transferOf, type Transfer, type TunedRope } from './transfer.ts';
export { nextAt, ropeStateOf, sameState, trialsNow, tunedRopes, tuningState, type TuningState } from './state.ts';
