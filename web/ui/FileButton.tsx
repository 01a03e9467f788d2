import { Upload } from 'lucide-react';
import { useRef } from 'react';

interface FileButtonProps {
  /** Name of the input for those who do not see the button. */
  readonly label: string;
  readonly accept: string;
  readonly text: string;
  readonly onFile: (file: File) => void;
}

/** Lets a person choose one file; the same file can be chosen again. */
export function FileButton({ label, accept, text, onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        <Upload aria-hidden className="size-5" />
        {text}
      </button>
    </>
  );
}
