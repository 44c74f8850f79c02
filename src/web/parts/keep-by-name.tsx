import { useState } from 'react';
import { Button } from './button.tsx';

interface Props {
  /** What is named: "Name of this recipe". */
  label: string;
  /** Keeps it under a name; false where that failed and the name should stay. */
  onKeep(name: string): Promise<boolean>;
}

/** A name and a button that keeps something under it. */
export function KeepByName({ label, onKeep }: Props) {
  const [name, setName] = useState('');
  const words = label.charAt(0).toLowerCase() + label.slice(1);
  return (
    <form
      className="flex gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) void onKeep(name.trim()).then((kept) => kept && setName(''));
      }}
    >
      <input
        aria-label={label}
        placeholder={words}
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
        className="h-10 min-w-0 flex-1 border border-edge bg-leaf px-3 placeholder:text-soft"
      />
      <Button type="submit" disabled={!name.trim()}>
        Keep it
      </Button>
    </form>
  );
}
