export { Timetable } from './parts/Timetable';
