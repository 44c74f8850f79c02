/** table: a sitting under way, one step at a time; its clock, and what happens on the way. */
export { AtTheTable } from './at-the-table.tsx';
