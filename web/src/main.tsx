import './app/tokens.css'; document.title='Jubek';
