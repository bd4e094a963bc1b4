/**
 * Fit: what one kind of device does with a shortcut. A profile is data; the firing engine reads it,
 * and so the same list can be typed as on any device.
 */
export { refusalOf, textHeld, type Refusal } from './hold';
export { DEVICE_PROFILES, DeviceProfileSchema, THIS_APP, type DeviceProfile, type ProfileId } from './profile';
