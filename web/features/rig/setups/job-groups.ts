import { TEMPLATE_FACTS, TEMPLATE_GROUPS, TEMPLATE_IDS, TEMPLATES, type TemplateId } from '@core/rigs/rig';

/** The jobs as one thinks of them, every template once. */
export const JOB_GROUPS = Object.entries(TEMPLATE_GROUPS).map(([group, title]) => ({
  title,
  ids: TEMPLATE_IDS.filter((id) => TEMPLATE_FACTS[id].group === group),
}));

/** A name that no other set-up has: the job, and a number from the second one on. */
export function freshName(label: string, names: ReadonlySet<string>): string {
  if (!names.has(label)) return label;
  for (let n = 2; ; n += 1) if (!names.has(`${label} ${n}`)) return `${label} ${n}`;
}

export const jobLabel = (id: TemplateId): string => TEMPLATES[id].label;
