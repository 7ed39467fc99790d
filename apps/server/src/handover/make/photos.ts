import type { Photo } from '@cordel/core/close';
import { photos as say } from '@cordel/text/handover/photos';
import type { Sheets } from './paper.ts';

/** Photos of a closure, two in a row. */
export function writePhotos(sheets: Sheets, photos: readonly Photo[]): void {
  if (photos.length === 0) return;
  sheets.heading(say('photos'), 13);
  const gap = 12;
  const width = (sheets.width - gap) / 2;
  const height = 170;
  photos.forEach((photo, index) => {
    if (index % 2 === 0) sheets.room(height + 20);
    const x = sheets.left + (index % 2) * (width + gap);
    try {
      sheets.doc.image(Buffer.from(photo.bytes, 'base64'), x, sheets.y, { fit: [width, height] });
    } catch {
      sheets.put(say('thisPhotoCannotBeShownIts'), x, sheets.y);
    }
    sheets.put(`${photo.by}, ${sheets.moment(photo.at)}`, x, sheets.y + height + 2, { size: 7.5 });
    if (index % 2 === 1 || index === photos.length - 1) sheets.y += height + 20;
  });
}
