/** Pictures go out as SVG, or drawn as PNG at twice their size. */

const SCALE = 2;

/** Lets the browser keep a file. */
export function saveFile(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 1000);
}

/** @param svg a whole document with a width and a height */
export async function savePicture(svg: string, name: string, format: 'svg' | 'png'): Promise<void> {
  const document = new Blob([svg], { type: 'image/svg+xml' });
  if (format === 'svg') {
    saveFile(`${name}.svg`, document);
    return;
  }
  const image = new Image();
  const address = URL.createObjectURL(document);
  try {
    image.src = address;
    await image.decode();
    const canvas = Object.assign(window.document.createElement('canvas'), {
      width: image.naturalWidth * SCALE,
      height: image.naturalHeight * SCALE,
    });
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const drawn = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (drawn === null) throw new Error('The browser could not draw the picture.');
    saveFile(`${name}.png`, drawn);
  } finally {
    URL.revokeObjectURL(address);
  }
}
