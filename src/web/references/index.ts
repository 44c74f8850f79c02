/** references: pictures pinned to a sheet or a thing, to look at while choosing and at the table. */
export { PinnedPictures } from './pinned-pictures.tsx';
export { PinnedBeside } from './pinned-beside.tsx';
export { PicturesTaken } from './pictures-taken.tsx';
export { usePin } from './use-pin.ts';
