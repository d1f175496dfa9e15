export { allTools, saveTool } from './tool-queries';
export { tools } from './tool-routes';
