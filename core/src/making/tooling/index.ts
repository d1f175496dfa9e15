export { finderOf, type Finder } from './finder';
export { threadedKind, TOOL_KINDS, TOOL_WORDS, type CribTool, type ToolKind } from './tool';
export { hangingFor, parseTool, toolWords, type TypedTool } from './parse-tool';
