import { type Finding } from '../../core/recipe/index.ts';
import { Button, Notice } from '../parts/index.ts';

/** What there is to say of a recipe, each with what to do about it and a button that does it. */
export function Findings({ of, onRemedy }: { of: readonly Finding[]; onRemedy(finding: Finding): void }) {
  return of.map((finding) => (
    <Notice key={finding.kind} title={finding.title}>
      {finding.sentence} {finding.remedy}
      {finding.change && (
        <Button
          look="bare"
          className="ml-1 min-h-8! px-0!"
          aria-label={`Do it: ${finding.remedy}`}
          onClick={() => onRemedy(finding)}
        >
          Do it
        </Button>
      )}
    </Notice>
  ));
}
