({
  handlePicked: function (component, event) {
    component.set('v.picked', event.getParam('id'));
  },
});
