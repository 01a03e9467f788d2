import { choice, idSchema, line, measure } from './fields.ts';

/** What is said of every item. */
export const common = {
  id: idSchema,
  name: line('Name', 80, 1, 'What you call it, so that you pick the right one.'),
  maker: line('Maker', 80),
};

export const measuredDiameter = (what: string) =>
  measure(
    'diameterMm',
    2,
    20,
    `Measured diameter of the ${what}`,
    'Your own caliper reading. It beats the label.',
  ).nullable();

/** What a look over the whole length told, by eye and by hand. */
export const condition = (what: string) =>
  choice(
    {
      sound: 'Sound, looked over by eye and hand',
      worn: 'Worn, still in use',
      damaged: 'Damaged, or not to be trusted',
      unknown: 'Not looked over',
    },
    `Condition of the ${what}`,
    'Cuts, soft or stiff places, melted or bleached fibre, seams; and the maker’s maximum age.',
  );
