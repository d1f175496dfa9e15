export { check } from './check';
export { TEXT_LIMITS } from './text';
export { jobInput, type JobInput } from './job';
export { componentInput, type ComponentInput } from './component';
export { placeInput, type PlaceInput } from './place';
export { readingInput, readingsFileInput, CLOCK_SLACK_MIN } from './reading';
export { choiceInput, CHOICE_VALUES, type ChoiceInput } from './choice';
export {
  quoteAnswerInput,
  quoteInput,
  quoteLinkInput,
  quoteWithdrawalInput,
  type QuoteAnswerInput,
  type QuoteInput,
  type QuoteLinkInput,
  type QuoteWithdrawalInput,
} from './quote';
export { isToken } from './secret';
export { MOST_MINOR, ratesInput, type RatesInput } from './rates';
export { MOST_PLACED, calendarInput, runOrderInput, workHoursInput, type RunOrderInput, type WorkHoursInput } from './run-order';
export { proofInput, type ProofInput } from './proof';
export { releaseInput, type ReleaseInput } from './release';
export { houseRuleInput, HOUSE_GRADES, type HouseRuleInput, type HouseRulePreview } from './house-rule';
export { toolInput, type ToolInput } from './tool';
export { drillSetInput, type DrillSetInput } from './drill-set';
export { PLAIN_BAR, shopCardInput } from './shop-card';
export { firstAccountInput, givenPasswordInput, ownPasswordInput, ownPinInput, pinSignInInput, signInInput } from './sign-in';
export { personInput, type PersonInput } from './person';
export { machineInput, type MachineInput } from './machine';
export { barInput, type BarInput } from './bar';
export { sawnInput, type SawnInput } from './saw';
export { shopSettingsInput, type ShopSettingsInput } from './shop-settings';
export { instrumentCheckInput, instrumentInput, MOST_BIAS_MM, type InstrumentCheckInput, type InstrumentInput } from './instrument';
export { MOST_PHOTO_BYTES, PHOTO_SIZES, PHOTO_TYPES, photoInput, type PhotoInput, type PhotoSize } from './photo';
export { checkBundle, MOST_BUNDLE_BYTES } from './bundle';
export { isDate } from './fields';
export { oldListInput, type OldListInput } from './old-list';
export { noteInput, type NoteInput } from './note';
export { FLOOR_SEARCH } from './floor';
export * from './wire';
