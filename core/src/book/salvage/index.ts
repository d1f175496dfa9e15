export {
  METAL_KINDS,
  METAL_QUESTION_IDS,
  METAL_QUESTIONS,
  METAL_SOURCE,
  type MetalKind,
  type MetalKindId,
  type MetalQuestion,
} from './metals.data';
export { tellsMost, whichMetal, type MetalAnswers, type RankedMetal } from './which-metal';
