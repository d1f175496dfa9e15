import {
  METAL_KIND_IDS,
  METAL_KINDS,
  METAL_QUESTION_IDS,
  METAL_QUESTIONS,
  type MetalKind,
  type MetalKindId,
  type MetalQuestion,
} from './metals.data';

/** What was answered; what was not tried is left out. */
export type MetalAnswers = Readonly<Partial<Record<MetalQuestion, string>>>;

export interface RankedMetal {
  readonly id: MetalKindId;
  readonly share: number;
}

/** An answer that hardly ever is given of a metal still may be: eyes err. Hundredths. */
const HARDLY_EVER = 0.5;

const row = (id: MetalKindId): MetalKind => METAL_KINDS[id];
const often = (id: MetalKindId, question: MetalQuestion, answer: string): number => {
  const says = row(id).says[question];
  const all = Object.keys(METAL_QUESTIONS[question].answers).reduce((sum, a) => sum + Math.max(says[a] ?? 0, HARDLY_EVER), 0);
  return Math.max(says[answer] ?? 0, HARDLY_EVER) / all;
};

/** How likely each kind of metal is by what was answered, the likeliest first: how often it lies there times how often it answers so (Bayes). */
export function whichMetal(answers: MetalAnswers): RankedMetal[] {
  const asked = METAL_QUESTION_IDS.filter((q) => answers[q] !== undefined);
  const weights = METAL_KIND_IDS.map((id) => asked.reduce((w, q) => w * often(id, q, answers[q]!), row(id).prior));
  const all = weights.reduce((a, b) => a + b, 0);
  return METAL_KIND_IDS.map((id, i) => ({ id, share: weights[i]! / all })).sort((a, b) => b.share - a.share);
}

const doubt = (ranked: readonly RankedMetal[]): number =>
  -ranked.reduce((sum, { share }) => sum + (share > 0 ? share * Math.log2(share) : 0), 0);

/** The question that is not tried yet whose answer would leave the least doubt on average; null where all are, or none would tell anything. */
export function tellsMost(answers: MetalAnswers): MetalQuestion | null {
  const now = whichMetal(answers);
  const left = METAL_QUESTION_IDS.filter((q) => answers[q] === undefined);
  const gain = (q: MetalQuestion): number =>
    doubt(now) -
    Object.keys(METAL_QUESTIONS[q].answers).reduce((sum, a) => {
      const chance = now.reduce((c, { id, share }) => c + share * often(id, q, a), 0);
      return sum + chance * doubt(whichMetal({ ...answers, [q]: a }));
    }, 0);
  const gains = left.map((q) => ({ q, bits: gain(q) })).sort((a, b) => b.bits - a.bits);
  return gains[0] && gains[0].bits > 0.05 ? gains[0].q : null;
}
