export { mountHouseRules } from './house-rule-routes';
export { changeHouseRule, loadHouseRules } from './house-rule-queries';
