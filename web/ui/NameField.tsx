import { useState } from 'react';
import { useAppDispatch } from '../store/hooks';
import { fieldLeft } from '../store/workspace-slice';

interface NameFieldProps {
  readonly label: string;
  readonly name: string;
  readonly onRename: (name: string) => void;
}

/** The heading of a page that is the name of what it shows, and can be changed in place. An empty name is not taken. */
export function NameField({ label, name, onRename }: NameFieldProps) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <h1 className="min-w-0 flex-1">
      <input
        aria-label={label}
        className="w-full truncate rounded border border-transparent bg-transparent py-1 font-bold hover:border-line-2 focus:border-line-2 focus:bg-surface"
        // What is typed stands as long as it says what is stored, or nothing.
        value={typed !== null && (typed.trim() === '' || typed.trim() === name) ? typed : name}
        maxLength={80}
        onChange={(event) => {
          setTyped(event.target.value);
          if (event.target.value.trim()) onRename(event.target.value.trim());
        }}
        onBlur={() => {
          setTyped(null);
          dispatch(fieldLeft());
        }}
      />
    </h1>
  );
}
