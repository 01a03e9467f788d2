import { sentence, worse, type Finding, type ElementId, type Sentence, type Severity } from '@core/foundations/finding';

/** The sign of one or more findings at one part of a drawing. */
export interface DrawnMark {
  readonly part: ElementId;
  readonly severity: Severity;
  /** Index of the finding that a click chooses. */
  readonly index: number;
  readonly says: Sentence;
  readonly chosen: boolean;
}

/**
 * One mark per part: findings that are not clear, and the chosen one whatever it is. Each finding is marked at the
 * first of its parts that this drawing shows.
 */
export function marksFor(
  findings: readonly Finding[],
  parts: ReadonlySet<ElementId>,
  chosen: number | null,
): DrawnMark[] {
  const marks = new Map<ElementId, DrawnMark>();
  findings.forEach((finding, index) => {
    const isChosen = index === chosen;
    if (finding.severity === 'clear' && !isChosen) return;
    const part = finding.subject.find((p) => parts.has(p));
    if (!part) return;
    const there = marks.get(part);
    if (!there)
      marks.set(part, {
        part,
        severity: finding.severity,
        index,
        says: sentence(finding.says, finding.numbers),
        chosen: isChosen,
      });
    else {
      const severity = worse(there.severity, finding.severity);
      marks.set(
        part,
        isChosen
          ? { ...there, severity, index, says: sentence(finding.says, finding.numbers), chosen: true }
          : { ...there, severity },
      );
    }
  });
  return [...marks.values()];
}
