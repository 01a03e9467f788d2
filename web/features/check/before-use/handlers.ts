import type { CheckItem } from '@core/answers/check';

type Half = 'climber' | 'partner';

/** What somebody can say to a running check. */
export interface Handlers {
  readonly onSaw: (item: CheckItem, who: Half, answer: string) => void;
  readonly onSawNot: (item: CheckItem, who: Half, not: string[]) => void;
  readonly onAccept: (item: CheckItem, who: Half, reason: string) => void;
  readonly onFixed: (item: CheckItem, note: string) => void;
}
