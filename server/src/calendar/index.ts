export { calendarOf, mountCalendar, mountCalendarFeed } from './calendar-routes';
