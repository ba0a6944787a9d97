/**
 * The studio: the screens, in React. The shell holds them together, each station changes one
 * side of the project, `shared` is what they have in common. A station knows no other station.
 */
export { App } from './shell';
