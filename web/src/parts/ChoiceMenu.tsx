import { useSelect } from 'downshift';
import { ChevronDown } from 'lucide-react';

export interface Choice {
  id: string;
  name: string;
  /** stands over the first of its group */
  group?: string;
  /** a second, quieter line */
  detail?: string;
}

interface ChoiceMenuProps {
  /** names the menu for those who do not see it */
  label: string;
  /** what the button says */
  text: string;
  choices: readonly Choice[];
  chosen?: string;
  className?: string;
  /** on which side of the button the list hangs */
  side?: 'left' | 'right';
  /** whether the list opens upwards */
  up?: boolean;
  onChoose: (id: string) => void;
}

/**
 * A menu that does something. Keys move within it and Enter does it: going through the choices changes nothing, and
 * neither does leaving.
 */
export function ChoiceMenu({
  label,
  text,
  choices,
  chosen,
  className = 'btn-sm',
  side = 'left',
  up = false,
  onChoose,
}: ChoiceMenuProps) {
  const items = [...choices];
  const menu = useSelect<Choice>({
    items,
    itemToString: (item) => item?.name ?? '',
    selectedItem: null,
    defaultHighlightedIndex: items.findIndex(({ id }) => id === chosen),
    stateReducer: (state, { type, changes }) => {
      switch (type) {
        case useSelect.stateChangeTypes.ToggleButtonBlur:
          return { ...changes, selectedItem: null };
        // A pointer that only happens to lie there must not take away what the keys have reached.
        case useSelect.stateChangeTypes.MenuMouseLeave:
          return { ...changes, highlightedIndex: state.highlightedIndex };
        default:
          return changes;
      }
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) onChoose(selectedItem.id);
    },
  });
  return (
    <div className="relative inline-flex max-w-full">
      <button
        type="button"
        {...menu.getToggleButtonProps({
          'aria-label': label,
          'aria-labelledby': undefined,
          onKeyDown: (event) => {
            // Keys that go through an open menu are no keys of the screen, and chords of the screen open no menu.
            if (menu.isOpen) event.stopPropagation();
            else if (event.ctrlKey || event.metaKey || event.altKey) {
              Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
            }
          },
        })}
        className={`btn btn-quiet max-w-full font-normal ${className}`}
      >
        <span className="truncate">{text}</span>
        <ChevronDown className="h-3.5 w-3.5 shrink-0" aria-hidden="true" />
      </button>
      <ul
        {...menu.getMenuProps({ 'aria-label': label, 'aria-labelledby': undefined })}
        className={
          menu.isOpen
            ? `rule bg-base-100 rounded-box absolute ${side === 'left' ? 'left-0' : 'right-0'} z-30 ${up ? 'bottom-full mb-1' : 'top-full mt-1'} max-h-80 w-max max-w-80 min-w-full overflow-auto border p-1 text-left text-sm shadow-lg`
            : 'hidden'
        }
      >
        {menu.isOpen &&
          items.map((item, index) => (
            <li
              key={item.id}
              {...menu.getItemProps({ item, index, 'aria-selected': item.id === chosen })}
              className={`cursor-pointer rounded px-2 py-1.5 ${menu.highlightedIndex === index ? 'bg-base-300' : ''} ${item.id === chosen ? 'font-semibold' : ''}`}
            >
              {item.group !== undefined && item.group !== items[index - 1]?.group && (
                <span className="small-head block pb-0.5">{item.group}</span>
              )}
              {item.name}
              {item.detail !== undefined && (
                <span className="quiet block text-xs font-normal">{item.detail}</span>
              )}
            </li>
          ))}
      </ul>
    </div>
  );
}
