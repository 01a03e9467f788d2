import { TEMPLATES, type TemplateId } from '@core/rig';

/** The jobs as one thinks of them, every template once. */
export const JOB_GROUPS = [
  { title: 'Belay', ids: ['belay-top-rope', 'belay-leader', 'belay-second', 'belay-seconds', 'self-belay-top-rope'] },
  {
    title: 'Go down',
    ids: ['rappel-double', 'rappel-single', 'rappel-fixed', 'tree-rappel', 'lower', 'lower-ground', 'pick-off'],
  },
  { title: 'Go up', ids: ['ascend', 'tree-stationary', 'tree-moving'] },
] as const satisfies readonly { readonly title: string; readonly ids: readonly TemplateId[] }[];

/** A name that no other set-up has: the job, and a number from the second one on. */
export function freshName(label: string, names: ReadonlySet<string>): string {
  if (!names.has(label)) return label;
  for (let n = 2; ; n += 1) if (!names.has(`${label} ${n}`)) return `${label} ${n}`;
}

export const jobLabel = (id: TemplateId): string => TEMPLATES[id].label;
