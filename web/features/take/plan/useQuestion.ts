import { useMemo } from 'react';
import { openSetup } from '@core/answers/planning';
import type { Person } from '@core/things/gear';
import { siteSchema, TEMPLATE_IDS, TEMPLATES, type Setup, type TemplateId } from '@core/rigs/rig';
import { useWorkspace } from '../../../store/hooks';
import { useQuery } from '../../../ui/useQuery';

export const { anchorHeightM: heightSchema, weather: weatherSchema } = siteSchema.shape;
const isTemplate = (text: string | null): text is TemplateId => TEMPLATE_IDS.some((t) => t === text);
const LONG_AGO = '2000-01-01T00:00:00.000Z';

/** What one asks is part of the address, so that a reload asks the same again. */
export function useQuestion() {
  const [query, changeQuery] = useQuery();
  const { people } = useWorkspace();
  const text = query.toString();
  const question = useMemo(() => {
    const q = new URLSearchParams(text);
    const height = heightSchema.safeParse(Number(q.get('height') ?? NaN));
    const weather = weatherSchema.safeParse(q.get('weather'));
    const asked = q.get('job');
    const template: TemplateId = isTemplate(asked) ? asked : 'rappel-double';
    const site = {
      anchorHeightM: height.success ? height.data : 20,
      weather: weather.success ? weather.data : ('dry' as const),
    };
    // Whoever is not named in the address: the people of the locker in their order, each once.
    const { persons } = TEMPLATES[template].parts();
    const said = persons.map((p) => people.find((one) => one.id === q.get(p.id)) ?? null);
    const spare = people.filter((one) => !said.includes(one));
    const placed: Record<string, Person | null> = {};
    persons.forEach((p, i) => {
      placed[p.id] = said[i] ?? (p.role === 'partner' ? null : (spare.shift() ?? null));
    });
    return { template, site, people: placed };
  }, [text, people]);
  const open: Setup = useMemo(() => openSetup(question, { id: 'asked', name: 'asked', now: LONG_AGO }), [question]);
  const without = useMemo(
    () => new Set((new URLSearchParams(text).get('without') ?? '').split(' ').filter(Boolean)),
    [text],
  );
  const set = (key: string, value: string) =>
    changeQuery((now) => {
      const next = { ...Object.fromEntries(now), [key]: value };
      return Object.fromEntries(Object.entries(next).filter(([, v]) => v !== ''));
    });
  return { question, open, without, set };
}
