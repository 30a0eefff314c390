export default orderRoutes.remove()
