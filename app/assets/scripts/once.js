// A form that was answered and stays on the page gets another key: pressed again, it is another press.
// @param {string} key
export const renew = (key) => {
  const field = key && document.querySelector(`[name=once][value="${CSS.escape(key)}"]`);
  if (field) field.setAttribute("value", crypto.randomUUID());
};
