export default makingDayRoutes.put()
