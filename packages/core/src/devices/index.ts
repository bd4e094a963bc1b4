/**
 * Devices: what a person types on. A device is a record; what was chosen before there were such records is read as devices, and
 * until anything is known there is the one in hand. From them follow the places that a list is checked for and the keyboards
 * that it is priced on: nothing else is asked.
 */
export { carriedId, deviceInHand, devicesOf, idOfJoined, leftOutId, type Hand, type ToldOfDevices } from './devices';
export { keyboardsInUse, languagesTypedOn, placesOf, profilesOf, type PlaceOfDevice } from './typing';
export { KIND_NAMES, placesFor, usualKeyboards, usualPlaces, usualShare } from './usual';
