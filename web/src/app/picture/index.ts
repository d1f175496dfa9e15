export { Axis } from './axis';
export { Lanes, type LaneName } from './lanes';
export { BLOCK_VIEWS, PartPicture } from './part-picture';
export { PolarSection } from './polar-section';
export { IndicatorMap } from './indicator-map';
export { ProfileChart } from './profile-chart';
export { ScenePicture } from './scene-picture';
export { PlacePicker } from './place-picker';
