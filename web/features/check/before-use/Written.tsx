import { useDraftedText } from '../../../ui/useDraftedText';

interface WrittenProps {
  readonly draftKey: string;
  readonly label: string;
  readonly button: string;
  /** Fewest and most characters. */
  readonly least: number;
  readonly most: number;
  readonly disabled?: boolean;
  /** The one thing to do here, and drawn as that. */
  readonly main?: boolean;
  readonly onWritten: (note: string) => void;
}

/** A sentence for the record. What is typed outlives a reload until it is given. */
export function Written({
  draftKey,
  label,
  button,
  least,
  most,
  disabled = false,
  main = false,
  onWritten,
}: WrittenProps) {
  const [note, setNote] = useDraftedText(draftKey);
  const enough = note.trim().length >= least;
  return (
    <form
      className="grid gap-2 pb-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (!enough || disabled) return;
        setNote('');
        onWritten(note.trim());
      }}
    >
      <label className="font-semibold">
        {label}
        <input className="field mt-1" value={note} maxLength={most} onChange={(event) => setNote(event.target.value)} />
      </label>
      <button type="submit" className={`btn min-h-12 ${main ? 'btn-act' : ''}`} disabled={disabled || !enough}>
        {button}
      </button>
    </form>
  );
}
