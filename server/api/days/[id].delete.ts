export default makingDayRoutes.remove()
