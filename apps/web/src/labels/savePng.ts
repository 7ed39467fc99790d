/** Dots a millimeter: 300 an inch. */
const DOTS = 300 / 25.4;

/** Saves a label drawn as SVG as a PNG for a label printer. */
export async function savePng(
  name: string,
  svg: string,
  size: { width: number; height: number },
): Promise<void> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(size.width * DOTS);
  canvas.height = Math.round(size.height * DOTS);
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  const link = document.createElement('a');
  link.href = canvas.toDataURL('image/png');
  link.download = name;
  link.click();
}
