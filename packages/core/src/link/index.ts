/**
 * Links in an expansion: what they carry that is not the way to the page, and what makes them lead nowhere.
 *
 * `findLinks` tells, `cleanLink` gives the link without. Nothing else of it is touched: it is cut, never written anew.
 */
export { findLinks, type FoundLink, type LinkFault, type TrackingPart } from './find';
export { TRACKING, type TrackingReason } from './tracking';
