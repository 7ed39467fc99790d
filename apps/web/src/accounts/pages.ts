// Seldom asked for: one piece of code, loaded when it is.
export { JoinPage } from './JoinPage';
export { PeoplePage } from './PeoplePage';
export { ServerPage } from './ServerPage';
export { YouPage } from './YouPage';
