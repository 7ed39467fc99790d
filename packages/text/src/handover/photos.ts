import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/photos.ts`. */
export const photos = phrases({
  photos: 'Photos',
  thisPhotoCannotBeShownIts: 'This photo cannot be shown; its file is in photos/.',
});
