/** tray: the pencils at hand, as they come out on a paper, and which of them comes nearest to a colour. */
export { type PencilOnPaper, type TrayPencil, onPaper } from './on-paper.ts';
export { type Match, matchPencils } from './match-pencils.ts';
