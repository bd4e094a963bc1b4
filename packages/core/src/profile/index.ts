/**
 * Profiles: what a place where one types does with a shortcut, as data. The firing engine reads it, and so the same list
 * can be typed as anywhere. A `DevicePlace` is a generic profile with what its owner knows better; its key is a
 * name for both, under which the check and all figures know it.
 */
export { refusalOf, textHeld, type Refusal } from './hold';
export { contradictionOf, keyOfPlace, placeOfKey, profileOf, type Contradiction } from './place';
export { DEVICE_PROFILES, isProfileId, isOurs, type ProfileId } from './known';
export { DeviceProfileSchema, type DeviceProfile } from './profile';
export { THIS_APP } from './thisApp';
