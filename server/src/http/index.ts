export * from './http-problem';
export { errorMiddleware, RETRY_AFTER_S, sendProblem } from './error-middleware';
export {
  answerKept,
  answerTo,
  changeOnce,
  forgetOldAnswers,
  keyedAs,
  keyedPost,
  recordOnce,
  sendAnswer,
  stored,
  type Answer,
  type Keyed,
  type StoredAnswer,
} from './record-once';
export { atTheGate, letIn, personOf, personOrFirst, screenOf, type AtTheGate } from './person';
export { did } from './did';
export { digestOf } from './digest';
export { doors, linksLimited, uploadsLimited, writesLimited } from './doors';
export { plainBody } from './plain-body';
export { askedIn, bodyOf, checkedBy, idIn, isId, upToIn, recordIdIn, versionBefore, ifMatch, wordsIn } from './input';
export { mountEditable, type Editable } from './editable';
export { mountShopRecord, shopIdIn, type ShopRecord } from './shop-record';
