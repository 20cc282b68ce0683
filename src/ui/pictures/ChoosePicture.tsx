import { ImagePlus } from 'lucide-react';

interface ChoosePictureProps {
  readonly label: string;
  readonly onChoose: (file: File) => void;
}

/** Asks for a picture: from the files, or on a phone from the camera. */
export function ChoosePicture({ label, onChoose }: ChoosePictureProps) {
  return (
    <label className="flex min-h-8 cursor-pointer items-center justify-center gap-1.5 rounded-sm border border-rule px-2 py-1 font-medium focus-within:outline-2 focus-within:outline-balance hover:bg-soft">
      <ImagePlus size={15} aria-hidden="true" /> {label}
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onChoose(file);
          event.target.value = '';
        }}
      />
    </label>
  );
}
