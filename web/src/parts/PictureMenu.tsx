import { toast } from 'sonner';
import { ChoiceMenu } from './ChoiceMenu.js';
import { savePicture } from './savePicture.js';

interface PictureMenuProps {
  /** names the menu for those who do not see it */
  label: string;
  /** of the file, without its ending */
  name: string;
  /** a whole SVG document, made when it is wanted */
  picture: () => string;
  className?: string;
}

/** Saves a picture as a file. */
export function PictureMenu({ label, name, picture, className = 'btn-sm' }: PictureMenuProps) {
  const save = (format: string) => {
    savePicture(picture(), name, format === 'png' ? 'png' : 'svg').catch((error: unknown) =>
      toast.error(error instanceof Error ? error.message : 'The picture could not be saved.'),
    );
  };
  return (
    <ChoiceMenu
      label={label}
      text="Picture"
      side="right"
      className={className}
      choices={[
        { id: 'svg', name: 'SVG', detail: 'sharp at every size' },
        { id: 'png', name: 'PNG', detail: 'for slides and documents' },
      ]}
      onChoose={save}
    />
  );
}
