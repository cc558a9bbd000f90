export { answerField } from './answerField';
export type { FieldAnswers, FieldAskedWith } from './answerField';
