/** page-index: all that is known of a page's regions, as one run of bytes. */
export { type IndexedPage, PageIndex } from './page-index.ts';
