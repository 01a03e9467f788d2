/** What the demo is filled with: a part of the build by itself, asked for from two places. */
export { demoWorkspace } from '@core/samples';
