export default 'font';
