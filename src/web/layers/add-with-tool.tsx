import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { TOOLS } from '../../core/laydown/index.ts';
import { Button } from '../parts/index.ts';

interface Props {
  thing: string;
  onAdd(tool: string): void;
}

/** Everything but a pencil that a layer can be laid with, each with how it is worked. */
export function AddWithTool({ thing, onAdd }: Props) {
  return (
    <Menu>
      <MenuButton as={Button} aria-label={`Add a pen or tool to ${thing}`}>
        Add a pen or tool <ChevronDown size={16} aria-hidden />
      </MenuButton>
      <MenuItems
        anchor={{ to: 'top end', gap: 2 }}
        className="z-50 max-h-96! w-80 overflow-auto border border-ink bg-leaf text-ink shadow-lg focus:outline-none"
      >
        {TOOLS.filter(({ waits }) => !waits).map(({ id, name, how }) => (
          <MenuItem key={id}>
            <button
              type="button"
              className="block w-full px-3 py-2 text-left data-focus:bg-card"
              onClick={() => onAdd(id)}
            >
              {name}
              <span className="block text-sm text-soft">{how}</span>
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
