/** Runs in a thread of its own: made-up heights of a place as an ESRI ASCII grid, so that the server goes on answering meanwhile. */
export { elevationGrid as default } from './elevation.ts';
