// What fragments brought by htmx have in common: the token that shows that we asked, and answers that are forms again.
document.body.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-Token'] = document.querySelector('meta[name=csrf-token]').content;
});

// A form that could not be read comes back with its messages.
document.body.addEventListener('htmx:beforeSwap', (event) => {
    if (event.detail.xhr.status === 422) {
        event.detail.shouldSwap = true;
        event.detail.isError = false;
    }
});
