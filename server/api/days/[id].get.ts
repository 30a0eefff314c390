export default makingDayRoutes.get()
